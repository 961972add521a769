import type { ResolvedSheet } from "../design/resolved";
import { NO_EFFECTS } from "../finish/effects/effects";
import { colorOfPainting } from "../finish/paint";
import { barePart } from "./barePart";
import type { PartScene } from "./scene";
import { sheetEdge } from "./sheetEdge";

/** No part can have this name: theirs have no dot. */
const GROUND_ID = "sheet.ground";

/** The sheet's ground as a part of one rectangle, so that it is painted as every part is; null where there is none. */
export function groundPart(sheet: ResolvedSheet): PartScene | null {
  const { ground } = sheet;
  if (ground === null) return null;
  const part = barePart({ id: GROUND_ID, name: "Ground", path: [sheetEdge(sheet)], fill: ground });
  const finish = { ...part.finish, effects: { ...NO_EFFECTS, grain: sheet.grain } };
  return { ...part, finish, pattern: () => "it lies over the whole sheet" };
}

/** The one colour that stands for a sheet's ground, `#RRGGBB` or `#RRGGBBAA`; null where there is none. */
export function groundColor({ ground }: Pick<ResolvedSheet, "ground">): string | null {
  return ground && colorOfPainting(ground);
}
