import { defineEffect } from "./definition";
import { cast, layColor, reachOfShade, shadeFields } from "./shade";

/** A glow is a shade that stays full further out. */
const STRONGER = 2.2;

/** Light around what is painted, under it. */
export const glow = defineEffect({
  kind: "glow",
  fields: shadeFields({ color: "#FFF3C4", x: 0, y: 0, blur: 6, opacity: 0.9 }),
  side: "under",
  pictured: "glows",
  reach: reachOfShade,
  soft: (shade) => ({ ...shade, strength: STRONGER, inside: false }),
  lay: (layer, shade, coverage) => layColor(layer, shade.color, cast(shade, coverage, STRONGER)),
});
