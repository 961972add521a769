import { choice } from "../fields/choice";

/** What a fill's gradient may lie over. */
export const GRADIENT_OVER = ["copy", "whole"] as const;
/** Whether colours that change over an area lie over each copy by itself, or once over the whole part. */
export type GradientOver = (typeof GRADIENT_OVER)[number];
/** A line's gradient may also run along the line itself. */
export const LINE_GRADIENT_OVER = [...GRADIENT_OVER, "line"] as const;
/** What a line's gradient may lie over, or run along. */
export type LineGradientOver = (typeof LINE_GRADIENT_OVER)[number];

/** What a gradient lies over, where only some of all ways are to be had. */
export function overField(overs: readonly LineGradientOver[]) {
  return choice<LineGradientOver>(overs, "copy");
}
