import type { Raster } from "../pools";
import { blurred } from "./blur";
import type { Coverage } from "./coverage";
import type { Effects, Grain, Shade } from "./effects";
import { facetLight } from "./facets";
import { cellNoise } from "./hash";

/** What lies under a part's paint and over it, as pictures that cover what the coverage does; null where nothing does. */
export interface EffectLayers {
  readonly under: Raster | null;
  readonly over: Raster | null;
}

/** Computes effects from how much of each pixel the part's own paint covers. */
export function effectLayers({ shadow, glow, innerShadow, grain, texture }: Effects, coverage: Coverage): EffectLayers {
  const under = shadow || glow ? layerOf(coverage) : null;
  if (under && shadow) lay(under, shadow.color, cast(shadow, coverage));
  if (under && glow) lay(under, glow.color, cast(glow, coverage, STRONGER));
  const over = innerShadow || grain || texture ? layerOf(coverage) : null;
  if (over && texture) layLight(over, facetLight(texture, coverage), coverage);
  if (over && innerShadow) lay(over, innerShadow.color, castInside(innerShadow, coverage));
  if (over && grain) layGrain(over, grain, coverage);
  return { under, over };
}

/** A glow is a shade that stays full further out. */
const STRONGER = 2.2;

function layerOf({ width, height }: Coverage): Raster {
  return { width, height, data: new Uint8ClampedArray(width * height * 4) };
}

/** How much of each pixel a shade covers, 0…1. */
function cast({ x, y, blur, opacity }: Shade, coverage: Coverage, strength = 1): Float32Array {
  const { width, height, scale } = coverage;
  const soft = blurred(moved(coverage, x * scale, y * scale), width, height, (blur * scale) / 2);
  return soft.map((value) => Math.min(1, value * strength) * opacity);
}

/** How much of each pixel the shade of what is not painted covers, where paint is. */
function castInside({ x, y, blur, opacity }: Shade, coverage: Coverage): Float32Array {
  const { width, height, scale, alpha } = coverage;
  // Blurred as what is painted, so that beyond the picture's edge counts as not painted.
  const soft = blurred(moved(coverage, x * scale, y * scale), width, height, (blur * scale) / 2);
  return soft.map((value, pixel) => (1 - value) * opacity * ((alpha[pixel] ?? 0) / 255));
}

/** The coverage moved by a distance in pixels, 0…1; between pixels it is shared out. */
function moved({ width, height, alpha }: Coverage, dx: number, dy: number): Float32Array {
  const values = new Float32Array(width * height);
  const [wholeX, wholeY] = [Math.floor(dx), Math.floor(dy)];
  const [shareX, shareY] = [dx - wholeX, dy - wholeY];
  const at = (column: number, row: number) =>
    column < 0 || row < 0 || column >= width || row >= height ? 0 : (alpha[row * width + column] ?? 0);
  for (let row = 0; row < height; row++) {
    for (let column = 0; column < width; column++) {
      const [x, y] = [column - wholeX, row - wholeY];
      const upper = at(x, y) * (1 - shareX) + at(x - 1, y) * shareX;
      const lower = shareY === 0 ? 0 : at(x, y - 1) * (1 - shareX) + at(x - 1, y - 1) * shareX;
      values[row * width + column] = (upper * (1 - shareY) + lower * shareY) / 255;
    }
  }
  return values;
}

/** Lays a colour over a layer, so much of it in each pixel. */
function lay(layer: Raster, color: string, amounts: Float32Array): void {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const own = color.length > 7 ? Number.parseInt(color.slice(7), 16) / 255 : 1;
  amounts.forEach((amount, pixel) => {
    layPixel(layer, pixel, r ?? 0, g ?? 0, b ?? 0, amount * own);
  });
}

/** White where it is light, black where it is dark, where paint is. */
function layLight(layer: Raster, light: Float32Array, { alpha }: Coverage): void {
  light.forEach((value, pixel) => {
    const shade = value > 0 ? 255 : 0;
    layPixel(layer, pixel, shade, shade, shade, Math.abs(value) * ((alpha[pixel] ?? 0) / 255));
  });
}

function layGrain(layer: Raster, { amount, size, seed, mono }: Grain, coverage: Coverage): void {
  const { width, height, left, top, scale, alpha } = coverage;
  // Where a pixel covers many cells their noise evens out.
  const strength = amount * Math.min(1, size * scale);
  const noise = (column: number, row: number, salt: number) => cellNoise(column, row, seed * 4 + salt);
  for (let row = 0; row < height; row++) {
    const cellRow = Math.floor((top + (row + 0.5) / scale) / size);
    for (let column = 0; column < width; column++) {
      const pixel = row * width + column;
      const covered = alpha[pixel] ?? 0;
      if (covered === 0) continue;
      const cell = Math.floor((left + (column + 0.5) / scale) / size);
      const value = noise(cell, cellRow, 0) * 2 - 1;
      const clear = Math.abs(value) * strength * (covered / 255);
      const shade = value > 0 ? 255 : 0;
      const channel = (salt: number) => (mono ? shade : noise(cell, cellRow, salt) * 255);
      layPixel(layer, pixel, channel(1), channel(2), channel(3), clear);
    }
  }
}

function layPixel({ data }: Raster, pixel: number, r: number, g: number, b: number, alpha: number): void {
  if (alpha <= 0) return;
  const at = pixel * 4;
  const below = (data[at + 3] ?? 0) / 255;
  const whole = alpha + below * (1 - alpha);
  const mixed = (over: number, under: number) => (over * alpha + under * below * (1 - alpha)) / whole;
  data[at] = mixed(r, data[at] ?? 0);
  data[at + 1] = mixed(g, data[at + 1] ?? 0);
  data[at + 2] = mixed(b, data[at + 2] ?? 0);
  data[at + 3] = whole * 255;
}
