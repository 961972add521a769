import type { ResolvedSheet } from "../design/resolved";
import { IDENTITY } from "../geometry/matrix";
import { NO_EFFECTS } from "../finish/effects/effects";
import { colorOfPainting } from "../finish/paint";
import { sourcePlacement } from "../rules/placements";
import type { PartScene } from "./scene";
import { sheetEdge } from "./sheetEdge";

/** No part can have this name: theirs have no dot. */
const GROUND_ID = "sheet.ground";

/** The sheet's ground as a part of one rectangle, so that it is painted as every part is; null where there is none. */
export function groundPart(sheet: ResolvedSheet): PartScene | null {
  const { ground } = sheet;
  if (ground === null) return null;
  const path = [sheetEdge(sheet)];
  const shapes = [{ path, pieces: null }];
  const placements = sourcePlacement(IDENTITY);
  return {
    id: GROUND_ID,
    name: "Ground",
    role: "show",
    visible: true,
    blend: "normal",
    solid: null,
    cut: null,
    stitch: null,
    pattern: () => "it lies over the whole sheet",
    finish: { fill: ground, line: null, opacity: 1, effects: NO_EFFECTS },
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
      notes: [],
      wedge: () => null,
      marks: () => [],
      links: () => new Map(),
      tiles: () => new Map(),
    },
  };
}

/** The one colour that stands for a sheet's ground, `#RRGGBB` or `#RRGGBBAA`; null where there is none. */
export function groundColor({ ground }: Pick<ResolvedSheet, "ground">): string | null {
  return ground && colorOfPainting(ground);
}
