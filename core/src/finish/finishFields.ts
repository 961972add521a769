import { choice } from "../fields/choice";
import type { ResolvedOf, StoredOf } from "../fields/field";
import { nullable, orNone } from "../fields/nullable";
import { number } from "../fields/number";
import { record } from "../fields/record";
import { EFFECT_FIELDS, type Effects } from "./effects/effects";
import { fill } from "./fills/fill";
import { LINE, lineOf, type ResolvedLine } from "./line/lineFields";
import type { Paint } from "./paint";

/** CSS blend modes, under their CSS names. */
const BLENDS = [
  "normal",
  "multiply",
  "screen",
  "overlay",
  "darken",
  "lighten",
  "color-dodge",
  "color-burn",
  "hard-light",
  "soft-light",
  "difference",
  "exclusion",
  "hue",
  "saturation",
  "color",
  "luminosity",
] as const;
/** A CSS blend mode, under its CSS name. */
export type Blend = (typeof BLENDS)[number];

/** How copies are painted. */
export const FINISH = record({
  fill: orNone(fill("#1E6F5C")),
  opacity: number("share", 1),
  blend: choice(BLENDS, "normal"),
  ...EFFECT_FIELDS,
  line: nullable(LINE),
});

/** A finish as a design holds it. */
export type Finish = StoredOf<typeof FINISH.fields>;

/** The finish of a part that says nothing of it. */
export const FINISH_DEFAULT: Finish = FINISH.complete({});

/** How copies are painted, with every number and palette colour known. */
export interface ResolvedFinish {
  /** What areas are painted with; null for nothing. */
  readonly fill: Paint | null;
  /** What outlines are drawn with; null for nothing. */
  readonly line: ResolvedLine | null;
  /** 0…1, of every copy. */
  readonly opacity: number;
  /** Shadows, glow, grain and the like, by kind. */
  readonly effects: Effects;
}

/** A finish as painters take it, its line and its effects by themselves. */
export function finishOf({
  fill,
  opacity,
  line,
  blend: _blend,
  ...effects
}: ResolvedOf<typeof FINISH.fields>): ResolvedFinish {
  return { fill, line: line && lineOf(line), opacity, effects };
}
