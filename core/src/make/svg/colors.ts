import { decimals } from "../decimals";
import { attribute } from "../xml";

export type PaintProperty = "fill" | "stroke";

/** SVG 1.1 viewers do not know #RRGGBBAA, so opacity stands apart. */
export function colorAttributes(property: PaintProperty, color: string): string {
  const solid = attribute(property, color.slice(0, 7));
  if (color.length < 9) return solid;
  return solid + attribute(`${property}-opacity`, decimals(opacityOf(color), 4));
}

export function opacityOf(color: string): number {
  return color.length < 9 ? 1 : Number.parseInt(color.slice(7), 16) / 255;
}
