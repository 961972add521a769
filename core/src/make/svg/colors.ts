import { decimals } from "../decimals";
import { attribute } from "../xml";

export type PaintProperty = "fill" | "stroke";

/** SVG 1.1 viewers do not know #RRGGBBAA, so opacity stands apart. */
export function colorAttributes(property: PaintProperty, color: string, opacity = 1): string {
  return attribute(property, color.slice(0, 7)) + opacityAttribute(property, opacityOf(color) * opacity);
}

/** How opaque a paint is, where it is not wholly so. */
export function opacityAttribute(property: PaintProperty, opacity: number): string {
  return opacity === 1 ? "" : attribute(`${property}-opacity`, decimals(opacity, 4));
}

export function opacityOf(color: string): number {
  return color.length < 9 ? 1 : Number.parseInt(color.slice(7), 16) / 255;
}
