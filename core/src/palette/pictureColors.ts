import { converter, formatHex } from "culori";
import { randomFrom } from "../geometry/random";

interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}

const toLab = converter("oklab");
const ROUNDS = 24;
/** Pixels that are looked at; more find no other colours. */
const LOOKED_AT = 8_000;

/**
 * The colours a picture (RGBA bytes) is best told in: k-means in OKLab from seeds spread out (k-means++), the same for
 * the same picture. Most used first; fewer where the picture has fewer.
 */
export function pictureColors(data: Uint8ClampedArray, count: number): string[] {
  const pixels = pixelsOf(data);
  if (pixels.length === 0) return [];
  let centres = seeds(pixels, count);
  let sizes: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => ({ l: 0, a: 0, b: 0, size: 0 }));
    for (const pixel of pixels) {
      const sum = sums[nearest(pixel, centres).index];
      if (!sum) continue;
      sum.l += pixel.l;
      sum.a += pixel.a;
      sum.b += pixel.b;
      sum.size += 1;
    }
    sizes = sums.map(({ size }) => size);
    centres = sums.map(({ l, a, b, size }, index) =>
      size > 0 ? { l: l / size, a: a / size, b: b / size } : (centres[index] ?? { l, a, b }),
    );
  }
  return centres
    .map((centre, index) => ({ hex: formatHex({ mode: "oklab", ...centre }).toUpperCase(), size: sizes[index] ?? 0 }))
    .filter(({ size }) => size > 0)
    .sort((a, b) => b.size - a.size)
    .map(({ hex }) => hex);
}

function pixelsOf(data: Uint8ClampedArray): Lab[] {
  const step = 4 * Math.max(1, Math.floor(data.length / 4 / LOOKED_AT));
  const pixels: Lab[] = [];
  for (let at = 0; at + 3 < data.length; at += step) {
    if ((data[at + 3] ?? 0) < 128) continue;
    const [r, g, b] = [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0];
    const lab = toLab({ mode: "rgb", r: r / 255, g: g / 255, b: b / 255 });
    pixels.push({ l: lab.l, a: lab.a, b: lab.b });
  }
  return pixels;
}

/** Each further seed is far from those there are, more likely so the farther. */
function seeds(pixels: readonly Lab[], count: number): Lab[] {
  const random = randomFrom(1);
  const [first] = pixels;
  const found: Lab[] = first ? [first] : [];
  while (found.length < count) {
    const away = pixels.map((pixel) => nearest(pixel, found).away);
    const total = away.reduce((sum, own) => sum + own, 0);
    if (total < 1e-9) break;
    let left = random() * total;
    const index = away.findIndex((own) => (left -= own) <= 0);
    const next = pixels[Math.max(0, index)];
    if (next) found.push(next);
  }
  return found;
}

function nearest({ l, a, b }: Lab, centres: readonly Lab[]): { index: number; away: number } {
  let best = { index: 0, away: Infinity };
  centres.forEach((centre, index) => {
    const away = (centre.l - l) ** 2 + (centre.a - a) ** 2 + (centre.b - b) ** 2;
    if (away < best.away) best = { index, away };
  });
  return best;
}
