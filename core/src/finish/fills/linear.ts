import { number } from "../../fields/number";
import { overField, type LineGradientOver } from "../over";
import { STOPS, stopsIn, stopsOf } from "../stops";
import { defineWithin } from "./definition";
import { fieldsOfBoth, GRADIENT_PARTS } from "./gradientParts";

/** 0° is up. */
const fields = (overs: readonly LineGradientOver[]) => ({
  angle: number("angle", 0, { step: 5 }),
  midpoint: number("share", 0.5),
  over: overField(overs),
  stops: STOPS,
});

/** Colours along a line over each copy or the whole part, or along a line itself. */
export const linear = defineWithin({
  kind: "linear",
  ...fieldsOfBoth(fields),
  recolored: (colors, own, before) => ({ ...own, stops: stopsOf(colors, stopsIn(before)) }),
  ...GRADIENT_PARTS,
});
