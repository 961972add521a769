import { choice } from "../../fields/choice";
import { alwaysWritten } from "../../fields/given";
import { number } from "../../fields/number";
import type { Raster } from "../pools";
import type { Coverage } from "./coverage";
import { defineEffect } from "./definition";
import { facetLight } from "./facets";
import { layPixel } from "./layPixel";
import { SEED } from "./seed";

/** Facets as of a crystal, so large (millimetres) and so strongly lit (0…1). */
export const texture = defineEffect({
  kind: "texture",
  fields: {
    kind: alwaysWritten(choice(["facets"], "facets")),
    size: number("length", 6, { min: 0.2, max: 1_000, step: 0.5 }),
    strength: number("share", 0.35),
    seed: SEED,
  },
  side: "over",
  pictured: "facets",
  lay: (layer, facets, coverage) => layLight(layer, facetLight(facets, coverage), coverage),
});

/** White where it is light, black where it is dark, where paint is. */
function layLight(layer: Raster, light: Float32Array, { alpha }: Coverage): void {
  light.forEach((value, pixel) => {
    const shade = value > 0 ? 255 : 0;
    layPixel(layer, pixel, shade, shade, shade, Math.abs(value) * ((alpha[pixel] ?? 0) / 255));
  });
}
