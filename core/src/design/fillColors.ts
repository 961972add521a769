import type { ColorValue, FillValue } from "./design";

/** The colours of a fill in their order. */
export function colorsOfFill(fill: FillValue | null): readonly ColorValue[] {
  if (fill === null) return [];
  if (typeof fill === "string") return [fill];
  if (fill.kind === "cycle") return fill.colors;
  return (fill.kind === "pools" ? fill.points : fill.stops).map(({ color }) => color);
}
