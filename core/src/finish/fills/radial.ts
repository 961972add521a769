import { choice } from "../../fields/choice";
import { number } from "../../fields/number";
import { point } from "../../fields/point";
import { overField, type LineGradientOver } from "../over";
import { STOPS, stopsIn, stopsOf } from "../stops";
import { defineWithin } from "./definition";
import { fieldsOfBoth, GRADIENT_PARTS } from "./gradientParts";
import { BOX_PLACE } from "./boxPlace";

/** What a gradient over the whole lies about. */
export const GRADIENT_ABOUT = ["box", "pivot"] as const;

const MIDDLE = { x: 0.5, y: 0.5 };

const fields = (overs: readonly LineGradientOver[]) => ({
  center: point(MIDDLE, BOX_PLACE),
  radius: number("factor", 1, { min: 0.001, max: 100, step: 0.05 }),
  /** Over the whole: whether the box is the part's own, or lies about the pivot of its rules. */
  about: choice(GRADIENT_ABOUT, "box"),
  midpoint: number("share", 0.5),
  over: overField(overs),
  stops: STOPS,
});

/** Colours from a point outwards; place in shares of the box, radius in shares of half its longer side. */
export const radial = defineWithin({
  kind: "radial",
  ...fieldsOfBoth(fields),
  recolored: (colors, own, before) => ({ ...own, stops: stopsOf(colors, stopsIn(before)) }),
  ...GRADIENT_PARTS,
});
