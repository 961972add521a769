import { color } from "../../fields/color";
import type { ResolvedOf } from "../../fields/field";
import { number } from "../../fields/number";
import type { Raster } from "../pools";
import { blurred } from "./blur";
import type { Coverage } from "./coverage";
import { layPixel } from "./layPixel";

interface ShadeStandard {
  readonly color: string;
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly opacity: number;
}

/** The fields of a soft copy of what is painted: moved by x, y, blurred over a distance, millimetres; opacity 0…1. */
export function shadeFields(standard: ShadeStandard) {
  const place = { min: -1_000, max: 1_000, step: 0.2 };
  return {
    color: color(standard.color),
    x: number("length", standard.x, place),
    y: number("length", standard.y, place),
    blur: number("length", standard.blur, { min: 0, max: 200, step: 0.5 }),
    opacity: number("share", standard.opacity),
  };
}

/** A soft copy of what is painted, its numbers known. */
type Shade = ResolvedOf<ReturnType<typeof shadeFields>>;

/** A soft copy of what is painted, as a drawing may say it in its own words. */
export interface SoftShade extends Shade {
  /** How often as strong as what is painted, at most full. */
  readonly strength: number;
  /** Whether it is the shade of what is not painted, seen where paint is. */
  readonly inside: boolean;
}

/** How far a shade is seen beyond what casts it, millimetres. */
export function reachOfShade({ x, y, blur }: Shade): number {
  return Math.max(Math.abs(x), Math.abs(y)) + 1.5 * blur;
}

/** How much of each pixel a shade covers, 0…1. */
export function cast({ x, y, blur, opacity }: Shade, coverage: Coverage, strength = 1): Float32Array {
  const { width, height, scale } = coverage;
  const soft = blurred(moved(coverage, x * scale, y * scale), width, height, (blur * scale) / 2);
  return soft.map((value) => Math.min(1, value * strength) * opacity);
}

/** How much of each pixel the shade of what is not painted covers, where paint is. */
export function castInside({ x, y, blur, opacity }: Shade, coverage: Coverage): Float32Array {
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
export function layColor(layer: Raster, color: string, amounts: Float32Array): void {
  const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const own = color.length > 7 ? Number.parseInt(color.slice(7), 16) / 255 : 1;
  amounts.forEach((amount, pixel) => {
    layPixel(layer, pixel, r ?? 0, g ?? 0, b ?? 0, amount * own);
  });
}
