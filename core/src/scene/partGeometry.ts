import type { DrawnPart } from "./partDrawing";
import type { ResolvedPart } from "../design/resolved";
import type { Surroundings } from "../motif/drawing";
import { withoutCoinciding } from "../rules/coinciding";
import { once } from "../geometry/once";
import type { ActiveRule, Composition } from "../rules/compose";
import type { Period } from "../rules/tile";
import { joinedCopies } from "./joinedCopies";
import { evenLines } from "./evenLines";
import type { PartGeometry } from "./scene";
import { wedgeOf } from "./wedge";

/** What is around a part, as seen from its own space and from the sheet's. */
export interface Around {
  /** The others as the part's own rules see them. */
  readonly ofPart: Surroundings;
  /** The others as they lie on the sheet. */
  readonly onSheet: Surroundings;
}

/** A part's copies, joined as it asks. Throws a Incomputable. */
export function geometryOf(
  part: ResolvedPart,
  { path, notes, motifAt, foot }: DrawnPart,
  composed: Composition,
  { onSheet }: Around,
): PartGeometry {
  const { at, rules } = part;
  const { shapes } = composed;
  const kept = part.oneEach ? withoutCoinciding(shapes, composed.placements) : composed.placements;
  const copies = { shapes, placements: kept };
  const joined = joinedCopies(part, copies, onSheet);
  const painted = evenLines(joined ?? copies, part.finish.line);
  return {
    path,
    motifAt,
    at,
    wedge: once(() => wedgeOf(rules, path, foot)),
    links: composed.links,
    tiles: once(() => tilesOf(rules)),
    marks: composed.marks,
    copies: joined ? evenLines(copies, part.finish.line) : painted,
    shapes: painted.shapes,
    placements: painted.placements,
    joined: joined !== null,
    colorOf: joined?.colorOf ?? null,
    faceOf: joined?.faceOf ?? null,
    crossings: joined?.crossings ?? null,
    openings: joined?.openings ?? [],
    notes: [...notes, ...composed.notes, ...(joined?.notes ?? [])],
  };
}

function tilesOf(rules: readonly ActiveRule[]): ReadonlyMap<number, Period> {
  return new Map(
    rules.flatMap(({ number, prepared }) => {
      const tile = prepared.tile();
      return tile ? [[number, tile] as const] : [];
    }),
  );
}
