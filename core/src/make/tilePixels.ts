import { MILLIMETRES_PER_INCH, pixelsOf } from "./png";

/** A side of a tile may be this share larger or smaller than it is, in pixels. */
const EXACT = 1e-3;
/** The resolution is at most so many times what was asked for, or that much less. */
const FARTHEST = 2;

/** Whole pixels of a tile, and the dots an inch at which it has them. */
interface TilePixels {
  /** Across. */
  readonly width: number;
  /** Down. */
  readonly height: number;
  /** Dots an inch. */
  readonly dpi: number;
}

/**
 * Whole pixels for a tile (millimetres) such that its sides keep their proportion within a thousandth, at the resolution
 * nearest to what was asked for; the best there is where none keeps it.
 */
export function tilePixels(across: number, down: number, dpi: number): TilePixels {
  const asked = pixelsOf(across, dpi);
  let best: (TilePixels & { readonly off: number }) | null = null;
  for (let away = 0; away <= asked * (FARTHEST - 1) + FARTHEST; away++) {
    for (const width of away === 0 ? [asked] : [asked - away, asked + away]) {
      if (width < Math.max(1, asked / FARTHEST)) continue;
      const exact = (width * down) / across;
      const height = Math.max(1, Math.round(exact));
      const off = Math.abs(height - exact) / exact;
      if (!best || off < best.off) best = { width, height, off, dpi: (width / across) * MILLIMETRES_PER_INCH };
      if (off <= EXACT) return { width, height, dpi: (width / across) * MILLIMETRES_PER_INCH };
    }
  }
  return best ?? { width: asked, height: Math.max(1, Math.round((asked * down) / across)), dpi };
}
