import { converter, formatHex } from "culori";
import { growBox, isEmpty, type Box } from "../geometry/box";
import type { Point } from "../geometry/point";
import type { GradientOver } from "./over";

/** A colour at a place in a box (shares, 0…1 across and down) and how far it reaches beside the others. */
export interface Pool extends Point {
  /** As `#RRGGBB` or `#RRGGBBAA`. */
  readonly color: string;
  /** How far it reaches beside the others: 2 twice as far as 1. */
  readonly reach: number;
}

/** Placed colours that blend into each other. */
export interface Pools {
  /** Tells it from other paints. */
  readonly kind: "pools";
  /** Where colours well up. */
  readonly points: readonly Pool[];
  /** Whether they lie over each copy or the whole. */
  readonly over: GradientOver;
}

/** A picture in plain RGBA bytes, rows from the top. */
export interface Raster {
  /** Pixels. */
  readonly width: number;
  /** Pixels. */
  readonly height: number;
  /** RGBA bytes, rows from the top. */
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

const toLab = converter("oklab");
const toRgb = converter("rgb");

/** A function from a place in a box (shares) to channels 0…255: each pool weighs by the square of its reach over its distance (Shepard 1968), mixed in OKLab. */
function mixer(points: readonly Pool[], { width, height }: { width: number; height: number }) {
  const longer = Math.max(width, height, 1e-9);
  const [across, down] = [width / longer, height / longer];
  const pools = points.map(({ x, y, color, reach }) => {
    const { l, a, b } = toLab(color) ?? { l: 0, a: 0, b: 0 };
    const alpha = color.length > 7 ? Number.parseInt(color.slice(7), 16) / 255 : 1;
    return { x: x * across, y: y * down, l, a, b, alpha, reach: reach * reach };
  });
  return (x: number, y: number): [number, number, number, number] => {
    let [sum, l, a, b, alpha] = [0, 0, 0, 0, 0];
    for (const pool of pools) {
      const [dx, dy] = [x * across - pool.x, y * down - pool.y];
      const weight = pool.reach / (dx * dx + dy * dy + 1e-6);
      sum += weight;
      l += weight * pool.l;
      a += weight * pool.a;
      b += weight * pool.b;
      alpha += weight * pool.alpha;
    }
    const rgb = toRgb({ mode: "oklab", l: l / sum, a: a / sum, b: b / sum });
    return [rgb.r * 255, rgb.g * 255, rgb.b * 255, (alpha / sum) * 255];
  };
}

/** Pixels on the longer side of a picture of pools: they change so slowly that more would not show. */
export const POOL_PIXELS = 160;
/** Room around the box, so that an outline's edge does not meet the picture's, millimetres. */
const ROOM = 0.05;

/** A picture and the box it covers, millimetres. */
export interface PlacedRaster {
  /** The picture. */
  readonly raster: Raster;
  /** Where it lies, millimetres. */
  readonly box: Box;
}

/** Pools over a box (millimetres) as a picture that covers the box and so much around it. */
export function poolsRaster({ points }: Pools, over: Box, reach: number): PlacedRaster {
  const laid = isEmpty(over) ? { left: 0, top: 0, right: 1, bottom: 1 } : over;
  const box = growBox(laid, reach + ROOM);
  const size = { width: laid.right - laid.left, height: laid.bottom - laid.top };
  const [across, down] = [box.right - box.left, box.bottom - box.top];
  const longer = Math.max(across, down);
  const width = Math.max(2, Math.round((across / longer) * POOL_PIXELS));
  const height = Math.max(2, Math.round((down / longer) * POOL_PIXELS));
  const colorAt = mixer(points, size);
  const share = (at: number, from: number, length: number) => (at - from) / Math.max(length, 1e-9);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let row = 0; row < height; row++) {
    const y = share(box.top + ((row + 0.5) / height) * down, laid.top, size.height);
    for (let column = 0; column < width; column++) {
      const x = share(box.left + ((column + 0.5) / width) * across, laid.left, size.width);
      data.set(colorAt(x, y), (row * width + column) * 4);
    }
  }
  return { raster: { width, height, data }, box };
}

/** The colour in the middle of the box, for where pools cannot be. */
export function middleOfPools({ points }: Pools): string {
  const [r, g, b] = mixer(points, { width: 1, height: 1 })(0.5, 0.5);
  return formatHex({ mode: "rgb", r: r / 255, g: g / 255, b: b / 255 }).toUpperCase();
}
