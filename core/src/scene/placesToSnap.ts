import type { Anchor } from "../design/guides/anchor";
import { isStraight, pointAt, type Cubic } from "../geometry/cubic";
import { crossingsOf, type Owned } from "../geometry/crossings";
import { meets, type Box } from "../geometry/box";
import { boxOfPath, segmentsOf, transformPath, type Path, type Subpath } from "../geometry/path";
import type { Point } from "../geometry/point";
import { shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import type { PartScene } from "./scene";

/** Outlines looked at; where a view shows more, the hand is drawn to the first of them. */
const MOST_CURVES = 2_000;

/** What of a part the hand can be drawn to. */
export type PlaceKind = "end" | "node" | "middle" | "crossing";

/** A place of a part as it stands on the sheet. */
export interface PartPlace {
  /** Where it is, millimetres. */
  readonly at: Point;
  /** What it is. */
  readonly kind: PlaceKind;
  /** What a measure holds on to; null for a crossing, which belongs to no one outline. */
  readonly anchor: Pick<Anchor, "part" | "copy" | "place" | "index"> | null;
  /** Names of the parts it belongs to: of a crossing both, where they differ. */
  readonly parts: readonly string[];
}

/** A straight side of a part. */
export interface PartSide {
  /** Where it begins, millimetres. */
  readonly from: Point;
  /** Where it ends. */
  readonly to: Point;
  /** The name of its part. */
  readonly part: string;
}

/** Ends of lines, nodes, middles of segments, crossings and straight sides of parts as they are shown within a box. */
export function placesToSnap(
  parts: readonly PartScene[],
  within: Box,
): { readonly places: readonly PartPlace[]; readonly sides: readonly PartSide[] } {
  const runs = parts.flatMap((part, owner) => runsWithin(part, within).map((run) => ({ ...run, owner })));
  const nameOf = (owner: number) => parts[owner]?.name ?? "";
  const curves: Owned[] = [];
  const places: PartPlace[] = [];
  const sides: PartSide[] = [];
  for (const { run, owner, copy, nodes, middles } of runs) {
    const segments = segmentsOf(run);
    if (curves.length + segments.length > MOST_CURVES) break;
    const names = [nameOf(owner)];
    const held = { part: parts[owner]?.id ?? "", copy };
    nodesOf(run, segments).forEach((place, k) => {
      places.push({ ...place, parts: names, anchor: { ...held, place: "node", index: nodes + k } });
    });
    segments.forEach((cubic, k) => {
      curves.push({ cubic, owner });
      const anchor = { ...held, place: "middle", index: middles + k } as const;
      places.push({ at: pointAt(cubic, 0.5), kind: "middle", parts: names, anchor });
      if (isStraight(cubic)) sides.push({ from: cubic[0], to: cubic[3], part: nameOf(owner) });
    });
  }
  const crossings = crossingsOf(curves).map(({ point, owners: [one, two] }): PartPlace => {
    return {
      at: point,
      kind: "crossing",
      anchor: null,
      parts: one === two ? [nameOf(one)] : [nameOf(one), nameOf(two)],
    };
  });
  return { places: [...places, ...crossings], sides };
}

/** One run of a copy's outline, and how many nodes and segments the runs before it have. */
interface PlacedRun {
  readonly run: Subpath;
  readonly copy: number;
  readonly nodes: number;
  readonly middles: number;
}

function runsWithin({ geometry }: PartScene, within: Box): PlacedRun[] {
  const { placements } = geometry;
  return Array.from({ length: placements.count }, (_, copy) => {
    const path = transformPath(shapeOfCopy(geometry, copy).path, matrixAt(placements.matrices, copy));
    return meets(boxOfPath(path), within) ? countedRuns(path, copy) : [];
  }).flat();
}

function countedRuns(path: Path, copy: number): PlacedRun[] {
  let [nodes, middles] = [0, 0];
  return path.map((run) => {
    const placed = { run, copy, nodes, middles };
    const count = segmentsOf(run).length;
    nodes += count + (run.closed ? 0 : 1);
    middles += count;
    return placed;
  });
}

function nodesOf({ closed }: Subpath, segments: readonly Cubic[]): Pick<PartPlace, "at" | "kind">[] {
  const points = segments.map(([start]) => start);
  const last = segments.at(-1)?.[3];
  if (!last) return [];
  if (closed) return points.map((at) => ({ at, kind: "node" }));
  return [...points, last].map((at, k) => ({ at, kind: k === 0 || k === points.length ? "end" : "node" }));
}
