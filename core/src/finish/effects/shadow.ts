import { defineEffect } from "./definition";
import { cast, layColor, reachOfShade, shadeFields } from "./shade";

/** A soft copy of what is painted, under it. */
export const shadow = defineEffect({
  kind: "shadow",
  fields: shadeFields({ color: "#2B2140", x: 1, y: 1.5, blur: 3, opacity: 0.5 }),
  side: "under",
  pictured: "shadows",
  reach: reachOfShade,
  soft: (shade) => ({ ...shade, strength: 1, inside: false }),
  lay: (layer, shade, coverage) => layColor(layer, shade.color, cast(shade, coverage)),
});
