import { defineEffect } from "./definition";
import { castInside, layColor, reachOfShade, shadeFields } from "./shade";

/** The shade of what is not painted, over what is. */
export const innerShadow = defineEffect({
  kind: "innerShadow",
  fields: shadeFields({ color: "#2B2140", x: 0.6, y: 1, blur: 2, opacity: 0.6 }),
  side: "over",
  pictured: "inner shadows",
  reach: reachOfShade,
  soft: (shade) => ({ ...shade, strength: 1, inside: true }),
  lay: (layer, shade, coverage) => layColor(layer, shade.color, castInside(shade, coverage)),
});
