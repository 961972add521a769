import { decimals } from "../../geometry/decimals";
import { attribute } from "../xml";

/** The attribute a paint is said in. */
export type PaintProperty = "fill" | "stroke";

/** SVG 1.1 viewers do not know #RRGGBBAA, so opacity (0…1) stands apart; `isSaid` where it must be said in any case. */
export function colorAttributes(property: PaintProperty, color: string, opacity = 1, isSaid = false): string {
  return attribute(property, color.slice(0, 7)) + opacityAttribute(property, opacityOf(color) * opacity, isSaid);
}

/** How opaque a paint is (0…1), where it is not wholly so or must say so. */
export function opacityAttribute(property: PaintProperty, opacity: number, isSaid = false): string {
  return opacity === 1 && !isSaid ? "" : attribute(`${property}-opacity`, decimals(opacity, 4));
}

/** How opaque a colour is, 0…1. */
export function opacityOf(color: string): number {
  return color.length < 9 ? 1 : Number.parseInt(color.slice(7), 16) / 255;
}
