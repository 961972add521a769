import { NO_EFFECTS } from "../finish/effects/effects";
import { IDENTITY } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import { sourcePlacement } from "../rules/placements";
import type { PartScene } from "./scene";

/** What a bare part is given. */
interface Given {
  /** Unlike every other's. */
  readonly id: string;
  /** What it is called. */
  readonly name: string;
  /** Its outline on the sheet, millimetres. */
  readonly path: Path;
  /** What its area is painted with. */
  readonly fill?: PartScene["finish"]["fill"];
  /** What its outline is drawn with. */
  readonly line?: PartScene["finish"]["line"];
}

/** A part of one outline that stands where it is, without rules or joins: for what is painted as parts are. */
export function barePart({ id, name, path, fill = null, line = null }: Given): PartScene {
  const shapes = [{ path, pieces: null }];
  const placements = sourcePlacement(IDENTITY);
  return {
    id,
    name,
    role: "show",
    ownRole: "show",
    visible: true,
    blend: "normal",
    solid: null,
    cut: null,
    stitch: null,
    pattern: () => "it is no pattern",
    finish: { fill, line, opacity: 1, effects: NO_EFFECTS },
    geometry: {
      path,
      shapes,
      placements,
      copies: { shapes, placements },
      motifAt: IDENTITY,
      at: IDENTITY,
      joined: false,
      colorOf: null,
      faceOf: null,
      crossings: null,
      openings: [],
      notes: [],
      wedge: () => null,
      marks: () => [],
      links: () => new Map(),
      tiles: () => new Map(),
    },
  };
}
