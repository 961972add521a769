import { EMPTY_BOX, isEmpty, joinBoxes } from "./box";
import { boxOfPath, type Path } from "./path";

/** Outlines whose greater side is up to this stay as large as they are; those of less than half are made larger. Millimetres. */
const LARGEST = 128;

/**
 * Outlines carried to a size and place at which the grid's cells and the tolerances of joins mean the same share of every
 * design, and the way back. Sizes are powers of two and places multiples of them, so that nothing is rounded.
 */
export interface StandardSize {
  /** Millimetres at the standard size for one of the design. */
  readonly scale: number;
  /** Outlines carried there. */
  readonly to: (path: Path) => Path;
  /** Outlines carried back. */
  readonly back: (path: Path) => Path;
  /** What stands at the origin there, millimetres of the design. */
  readonly x: number;
  /** Its height. */
  readonly y: number;
}

/** The standard size of several outlines taken together; null where they hold nothing. */
export function standardSizeOf(paths: readonly Path[]): StandardSize | null {
  const box = paths.map((path) => boxOfPath(path)).reduce(joinBoxes, EMPTY_BOX);
  if (isEmpty(box)) return null;
  const extent = Math.max(box.right - box.left, box.bottom - box.top, Number.MIN_VALUE);
  const scale = 2 ** Math.floor(Math.log2(LARGEST / extent));
  const unit = 1 / scale;
  const near = (low: number, high: number) => Math.round((low + high) / 2 / (LARGEST * unit)) * LARGEST * unit;
  const [x, y] = [near(box.left, box.right), near(box.top, box.bottom)];
  if (scale === 1 && x === 0 && y === 0) return { scale, x, y, to: (path) => path, back: (path) => path };
  return {
    scale,
    x,
    y,
    to: (path) => carried(path, scale, -x * scale, -y * scale),
    back: (path) => carried(path, unit, x, y),
  };
}

function carried(path: Path, scale: number, x: number, y: number): Path {
  return path.map(({ closed, coordinates }) => ({
    closed,
    coordinates: coordinates.map((value, at) => value * scale + (at % 2 === 0 ? x : y)),
  }));
}
