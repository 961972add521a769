/** A number from 0 up to 1 for a cell of a level, looking random and always the same (splitmix in 32 bits). */
export function cellNoise(column: number, row: number, seed: number): number {
  let mixed = Math.imul(column, 0x9e3779b1) ^ Math.imul(row, 0x85ebca77) ^ Math.imul(seed | 0, 0xc2b2ae3d);
  mixed ^= mixed >>> 16;
  mixed = Math.imul(mixed, 0x21f0aaad);
  mixed ^= mixed >>> 15;
  mixed = Math.imul(mixed, 0x735a2d97);
  return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32;
}
