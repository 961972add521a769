import type { ResolvedOf } from "../../fields/field";
import { number } from "../../fields/number";
import { toggle } from "../../fields/toggle";
import type { Raster } from "../pools";
import type { Coverage } from "./coverage";
import { defineEffect } from "./definition";
import { cellNoise } from "./hash";
import { layPixel } from "./layPixel";
import { SEED } from "./seed";

const FIELDS = {
  amount: number("share", 0.25),
  size: number("length", 0.4, { min: 0.02, max: 100, step: 0.1 }),
  seed: SEED,
  mono: toggle(true),
};

type Grain = ResolvedOf<typeof FIELDS>;

/** Seeded noise in cells of a size in millimetres, its strength 0…1; of one colour or of many. */
export const grain = defineEffect({
  kind: "grain",
  fields: FIELDS,
  side: "over",
  pictured: "grain",
  lay: layGrain,
});

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
