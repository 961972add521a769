import { NOT_CUT, RESOLVED_CUT_DEFAULT, type CutWay, type ResolvedCut } from "../design/cutFields";
import { sharingOutlines, withDoubledAsOne, withoutDoubled } from "../geometry/arrangement/lines";
import { combine } from "../geometry/boolean/boolean";
import { pointAt } from "../geometry/cubic";
import { segmentsOf, type Path, type Subpath } from "../geometry/path";
import { measurePath } from "../geometry/pathLength";
import { copyOutlines } from "../rules/copyOutlines";
import { asMembers } from "../scene/asMembers";
import type { PartScene, Scene } from "../scene/scene";
import { placesOnRuns } from "./bridges";

/** A line a blade, a beam or a pen follows, on the sheet. */
export interface CutOutline {
  /** The id of the part it belongs to. */
  readonly part: string;
  /** How the part is cut. */
  readonly cut: ResolvedCut;
  /** Where it runs, millimetres. */
  readonly run: Subpath;
  /**
   * What it is to the sheet: the edge of what is kept, which closes; a line between two pieces that are both kept; or a line
   * that was drawn as one.
   */
  readonly role: "edge" | "between" | "line";
}

/** The outlines of all parts of a scene that are cut, those that lie on each other once. */
export interface CutOutlines {
  /** In the order of the parts. */
  readonly outlines: readonly CutOutline[];
  /** How much of them lay on each other and is cut once, millimetres. */
  readonly doubled: number;
}

/** How a part is cut; null where it is left alone. */
export function cutOf({ cut }: PartScene): ResolvedCut | null {
  return cut === NOT_CUT ? null : (cut ?? RESOLVED_CUT_DEFAULT);
}

/** An outline before it is known what lies on it. */
interface Owned {
  readonly part: string;
  readonly cut: ResolvedCut;
  readonly path: Path;
}

/** What is followed in one way that takes nothing off: the outlines of the parts that are made so, in the order of the parts. */
export function outlinesToFollow(scene: Scene, as: "score" | "draw"): CutOutlines {
  const owned = ownedOutlines(scene, as);
  const once = withoutDoubled(owned.map(({ path }) => path));
  const outlines = owned.flatMap((one, index) => (once[index] ?? []).map((run) => outlineOf(one, run, "line")));
  return { outlines, doubled: savedBy(owned, outlines) };
}

/**
 * What is cut through. Outlines that have stretches in common keep what any of them covers: its edges are edges, and what
 * lies within it are lines between pieces that are kept. The geometry engine must have been loaded.
 */
export function outlinesToCut(scene: Scene): CutOutlines {
  const owned = ownedOutlines(scene, "cut");
  const groups = sharingOutlines(owned.map(({ path }) => path));
  const groupOf = new Map(groups.flatMap((group) => group.map((number) => [number, group] as const)));
  const outlines = owned.flatMap((one, number) => {
    const group = groupOf.get(number);
    if (!group) return one.path.map((run) => outlineOf(one, run, run.closed ? "edge" : "line"));
    // All of a group stand where its first one does.
    return group[0] === number ? keptTogether(group.flatMap((member) => owned[member] ?? [])) : [];
  });
  return { outlines, doubled: savedBy(owned, outlines) };
}

/** The parts that are cut, those that are repeated whole as they are cut themselves. */
export function partsAsCut(scene: Scene): PartScene[] {
  return asMembers(scene, ({ cut }) => cut !== null).map(({ part }) => part);
}

function ownedOutlines(scene: Scene, as: CutWay): Owned[] {
  return partsAsCut(scene).flatMap((part) => {
    const cut = cutOf(part);
    return cut?.as === as ? outlinesOf(part).map((path) => ({ part: part.id, cut, path })) : [];
  });
}

/** Outlines with stretches in common: the edges of what they cover, and the lines left within. */
function keptTogether(group: readonly Owned[]): CutOutline[] {
  const settled = withDoubledAsOne(group.map(({ path }) => path));
  const areas = settled.map((path) => path.filter(({ closed }) => closed));
  const edges = combine(areas, "union");
  const lines = settled.map((path) => path.filter(({ closed }) => !closed));
  // What the edges have drawn is no line any more.
  const [, ...left] = withoutDoubled([edges, ...areas, ...lines]);
  const [between, drawn] = [left.slice(0, group.length), left.slice(group.length)];
  const ownerOf = ownersOf(group);
  return [
    ...edges.flatMap((run) => {
      const owner = ownerOf(run);
      return owner ? [outlineOf(owner, run, "edge")] : [];
    }),
    ...group.flatMap((one, at) => [
      ...(between[at] ?? []).map((run) => outlineOf(one, run, "between")),
      ...(drawn[at] ?? []).map((run) => outlineOf(one, run, "line")),
    ]),
  ];
}

/** Whose an edge is: of the outline that lies nearest to the middle of its first curve. */
function ownersOf(group: readonly Owned[]): (edge: Subpath) => Owned | undefined {
  if (new Set(group.map(({ part }) => part)).size === 1) return () => group[0];
  const runs = group.flatMap((one) => one.path.map((run) => ({ one, run })));
  return (edge) => {
    const [first] = segmentsOf(edge);
    if (!first) return undefined;
    const [nearest] = placesOnRuns(
      runs.map(({ run }) => run),
      [pointAt(first, 0.5)],
      Infinity,
    ).keys();
    return nearest === undefined ? undefined : runs[nearest]?.one;
  };
}

function outlineOf({ part, cut }: Owned, run: Subpath, role: CutOutline["role"]): CutOutline {
  return { part, cut, run, role };
}

/** The length that need not be gone over, millimetres. */
function savedBy(owned: readonly Owned[], outlines: readonly CutOutline[]): number {
  return lengthOf(owned.flatMap(({ path }) => path)) - lengthOf(outlines.map(({ run }) => run));
}

/** The outlines of a part's copies, or of what they are joined into; faces without the lines over them. */
export function outlinesOf({ geometry }: PartScene): Path[] {
  const { faceOf } = geometry;
  return copyOutlines(geometry).filter((path, copy) => path.length > 0 && (!faceOf || faceOf[copy] !== null));
}

/** The length of runs, millimetres. */
export function lengthOf(runs: Path): number {
  return runs.reduce((sum, run) => sum + measurePath(run).length, 0);
}
