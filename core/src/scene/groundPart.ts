import type { ResolvedSheet } from "../design/resolve";
import { IDENTITY } from "../geometry/matrix";
import { polygonOf, type Path } from "../geometry/path";
import { NO_EFFECTS } from "../finish/effects/effects";
import { colorOfPainting } from "../finish/paint";
import { sourcePlacement } from "../rules/placements";
import type { PartScene } from "./scene";

/** No part can have this name: theirs have no dot. */
const GROUND_ID = "sheet.ground";

/** The sheet's ground as a part of one rectangle, so that it is painted as every part is; null where there is none. */
export function groundPart({ width, height, ground }: ResolvedSheet): PartScene | null {
  if (ground === null) return null;
  const path = rectangle(width / 2, height / 2);
  const shapes = [{ path, pieces: null }];
  const placements = sourcePlacement(IDENTITY);
  return {
    id: GROUND_ID,
    name: "Ground",
    role: "show",
    visible: true,
    blend: "normal",
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
      told: [],
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

function rectangle(x: number, y: number): Path {
  return [
    polygonOf([
      { x: -x, y: -y },
      { x, y: -y },
      { x, y },
      { x: -x, y },
    ]),
  ];
}
