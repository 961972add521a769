import type { Coverage } from "./coverage";
import { cellNoise } from "./hash";

interface Facet {
  /** Where it is around, in cells. */
  readonly x: number;
  readonly y: number;
  /** How light it is, −1…1, and how it slopes, a cell. */
  readonly light: number;
  readonly slopeX: number;
  readonly slopeY: number;
}

/**
 * How light each pixel is, −1 dark to 1 light: the plane is divided into the places nearest to seeded points, one in
 * each square of a grid, and each place is a plane of its own that catches the light.
 */
export function facetLight(
  { size, strength, seed }: { readonly size: number; readonly strength: number; readonly seed: number },
  { width, height, left, top, scale }: Coverage,
): Float32Array {
  const known = new Map<number, Facet>();
  const facetOf = (column: number, row: number): Facet => {
    const key = column * 65_536 + row;
    const remembered = known.get(key);
    if (remembered) return remembered;
    const noise = (salt: number) => cellNoise(column, row, seed * 8 + salt);
    const facet = {
      x: column + noise(0),
      y: row + noise(1),
      light: noise(2) * 2 - 1,
      slopeX: noise(3) - 0.5,
      slopeY: noise(4) - 0.5,
    };
    known.set(key, facet);
    return facet;
  };
  const cells = 1 / (scale * size);
  const light = new Float32Array(width * height);
  for (let row = 0; row < height; row++) {
    const y = top / size + (row + 0.5) * cells;
    let [around, square]: [Facet[], number] = [[], Number.NaN];
    for (let column = 0; column < width; column++) {
      const x = left / size + (column + 0.5) * cells;
      // Neighbouring pixels mostly stand in the same square.
      if (Math.floor(x) !== square) {
        square = Math.floor(x);
        around = facetsAround(square, Math.floor(y), facetOf);
      }
      const { x: fx, y: fy, light: own, slopeX, slopeY } = nearest(x, y, around);
      const lit = own * 0.7 + (x - fx) * slopeX + (y - fy) * slopeY;
      light[row * width + column] = Math.max(-1, Math.min(1, lit)) * strength;
    }
  }
  return light;
}

function facetsAround(column: number, row: number, facetOf: (column: number, row: number) => Facet): Facet[] {
  return [-1, 0, 1].flatMap((dx) => [-1, 0, 1].map((dy) => facetOf(column + dx, row + dy)));
}

const FLAT: Facet = { x: 0, y: 0, light: 0, slopeX: 0, slopeY: 0 };

function nearest(x: number, y: number, around: readonly Facet[]): Facet {
  let [best, least] = [FLAT, Infinity];
  for (const facet of around) {
    const away = (facet.x - x) * (facet.x - x) + (facet.y - y) * (facet.y - y);
    if (away >= least) continue;
    least = away;
    best = facet;
  }
  return best;
}
