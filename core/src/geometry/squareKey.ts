/** One number for a square of a grid over the plane; unique while both coordinates stay within ±2²⁵ squares. */
export function squareKey(column: number, row: number): number {
  return column * 2 ** 26 + row;
}
