import { numbersOf, wholeNumbers } from "./wholeNumbers";

/** Numbers a vertex takes: x, y and its own number. */
const STRIDE = 3;

/**
 * Whether a polygon runs once round its middle, seen from where it never turns back: it then crosses itself nowhere.
 * 1 when it runs clockwise on the sheet, −1 the other way; 0 where that cannot be told so.
 */
export function roundOf(polygon: BigInt64Array): 1 | -1 | 0 {
  const cells = numbersOf(polygon);
  const count = cells.length / STRIDE;
  let [x, y] = [0, 0];
  for (let k = 0; k < count; k++) {
    x += (cells[STRIDE * k] ?? 0) / count;
    y += (cells[STRIDE * k + 1] ?? 0) / count;
  }
  let [sign, angle] = [0, 0];
  for (let k = 0; k < count; k++) {
    const next = (k + 1) % count;
    const [px, py] = [(cells[STRIDE * k] ?? 0) - x, (cells[STRIDE * k + 1] ?? 0) - y];
    const [qx, qy] = [(cells[STRIDE * next] ?? 0) - x, (cells[STRIDE * next + 1] ?? 0) - y];
    const cross = px * qy - qx * py;
    if (cross === 0) continue;
    if (sign !== 0 && Math.sign(cross) !== sign) return 0;
    sign = Math.sign(cross);
    angle += Math.atan2(Math.abs(cross), px * qx + py * qy);
  }
  if (Math.round(angle / (2 * Math.PI)) !== 1) return 0;
  return sign > 0 ? 1 : -1;
}

/** The same polygon run the other way. */
export function backwards(polygon: BigInt64Array): BigInt64Array<ArrayBuffer> {
  const cells = numbersOf(polygon);
  const turned: number[] = [];
  for (let at = cells.length - STRIDE; at >= 0; at -= STRIDE) turned.push(...cells.subarray(at, at + STRIDE));
  return wholeNumbers(turned);
}
