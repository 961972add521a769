import { FULL_TURN, toDegrees } from "../geometry/angle";
import { lastCounting, MATRIX_STRIDE, numberUnder, type Placements } from "./placements";

/** What a formula of a copy may ask of it. */
export const COPY_NAMES = ["i", "n", "t", "x", "y", "r", "angle", "row", "column", "ring"] as const;
/** A name a formula over copies may use. */
export type CopyName = (typeof COPY_NAMES)[number];

/** What a copy knows of itself. */
export type CopyValues = Record<CopyName, number>;

/**
 * A function that reads off one copy: its number i of n, t = i/(n − 1), where its foot is (x, y, the distance r
 * from the origin, the direction in degrees), and the row, column and ring it stands in. The object is reused.
 */
export function copyReader(placements: Placements): (copy: number) => CopyValues {
  const { count, matrices } = placements;
  const [rings, rows, columns] = (["rings", "rows", "columns"] as const).map((counting) => {
    const rule = lastCounting(placements, counting);
    return rule < 0 ? () => 0 : (copy: number) => numberUnder(placements, rule, counting, copy);
  });
  const values: CopyValues = { i: 0, n: count, t: 0, x: 0, y: 0, r: 0, angle: 0, row: 0, column: 0, ring: 0 };
  return (copy) => {
    const x = matrices[copy * MATRIX_STRIDE + 4] ?? 0;
    const y = matrices[copy * MATRIX_STRIDE + 5] ?? 0;
    values.i = copy;
    values.t = count > 1 ? copy / (count - 1) : 0;
    values.x = x;
    values.y = y;
    values.r = Math.hypot(x, y);
    values.angle = (toDegrees(Math.atan2(x, -y)) + FULL_TURN) % FULL_TURN;
    values.row = rows?.(copy) ?? 0;
    values.column = columns?.(copy) ?? 0;
    values.ring = rings?.(copy) ?? 0;
    return values;
  };
}
