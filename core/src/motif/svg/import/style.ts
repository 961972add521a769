import type { Cap, LineJoin } from "../../../geometry/strip/lineShape";
import { formatHex, formatHex8, parse, type Color } from "culori";
import { numbersIn, pixelsOfLength } from "./lengths";
import { inlineDeclarations, type Stylesheet } from "./stylesheet";
import type { XmlElement } from "./xmlTree";

/** How an element is painted, inherited and its own. Lengths in its own pixels. */
export interface Style {
  /** What it is painted with, by name. */
  readonly properties: ReadonlyMap<string, string>;
  /** Of the element and all groups around it. */
  readonly opacity: number;
  /** Whether it is seen at all. */
  readonly shown: boolean;
}

/** What holds where a picture says nothing. */
export const ROOT_STYLE: Style = { properties: new Map(), opacity: 1, shown: true };

/** Properties that pass from a group to what is in it. */
const INHERITED = new Set([
  "fill",
  "fill-opacity",
  "fill-rule",
  "stroke",
  "stroke-width",
  "stroke-opacity",
  "stroke-linecap",
  "stroke-linejoin",
  "stroke-dasharray",
  "visibility",
  "color",
  "clip-rule",
]);

/** The style of an element inside another: attributes, then the stylesheet, then its own `style`. */
export function styleOf(
  element: XmlElement,
  outer: Style,
  sheet: Stylesheet,
): { style: Style; own: ReadonlyMap<string, string> } {
  const own = new Map<string, string>();
  for (const [key, value] of element.attributes) own.set(key, value);
  for (const [key, value] of sheet.declarationsFor(element)) own.set(key, value);
  for (const [key, value] of inlineDeclarations(element.attributes.get("style"))) own.set(key, value);
  const properties = new Map(outer.properties);
  for (const [key, value] of own) {
    if (INHERITED.has(key) && value !== "inherit") properties.set(key, value);
  }
  const style = {
    properties,
    opacity: outer.opacity * shareOf(own.get("opacity")),
    shown: outer.shown && own.get("display") !== "none",
  };
  return { style, own };
}

function shareOf(text: string | undefined): number {
  if (text === undefined) return 1;
  const value = text.trim().endsWith("%") ? Number.parseFloat(text) / 100 : Number.parseFloat(text);
  return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : 1;
}

/** A paint: a colour as `#RRGGBB(AA)`, nothing, or the id of something else it refers to. */
export type ImportedPaint =
  | { readonly color: string }
  | { readonly reference: string; readonly fallback: string | null }
  | null;

/** A fill or a stroke as a colour; null for none. */
export function paintOf({ properties }: Style, property: "fill" | "stroke"): ImportedPaint {
  const text = (properties.get(property) ?? (property === "fill" ? "black" : "none")).trim();
  const opacity = shareOf(properties.get(`${property}-opacity`));
  if (text === "none" || text === "transparent") return null;
  const reference = /^url\(\s*["']?#([^"')]+)["']?\s*\)\s*(.*)$/.exec(text);
  if (reference) return { reference: reference[1] ?? "", fallback: hexOf(reference[2] ?? "", opacity) };
  const named = text === "currentColor" ? (properties.get("color") ?? "black") : text;
  const color = hexOf(named, opacity);
  return color === null ? null : { color };
}

/** A CSS colour as `#RRGGBB`, or `#RRGGBBAA` where it lets something through; null where it is none. */
function hexOf(text: string, opacity = 1): string | null {
  const color: Color | undefined = parse(text.trim());
  if (!color) return null;
  const alpha = (color.alpha ?? 1) * opacity;
  return (alpha >= 1 ? formatHex(color) : formatHex8({ ...color, alpha })).toUpperCase();
}

/** The rule a shape is filled by. */
export function fillRuleOf({ properties }: Style): "nonzero" | "evenodd" {
  return properties.get("fill-rule")?.trim() === "evenodd" ? "evenodd" : "nonzero";
}

/** A stroke of an imported picture, in the picture's own units. */
interface ImportedLine {
  readonly width: number;
  readonly cap: Cap;
  readonly join: LineJoin;
  readonly dash: readonly number[];
}

/** A shape's stroke; null for none. */
export function lineOf({ properties }: Style, diagonal: number): ImportedLine {
  const cap = properties.get("stroke-linecap")?.trim();
  const join = properties.get("stroke-linejoin")?.trim();
  const dash = properties.get("stroke-dasharray")?.trim() ?? "none";
  return {
    width: pixelsOfLength(properties.get("stroke-width"), diagonal) ?? 1,
    cap: cap === "round" || cap === "square" ? cap : "butt",
    join: join === "round" || join === "bevel" ? join : "miter",
    dash: dash === "none" ? [] : dashOf(numbersIn(dash)),
  };
}

function dashOf(lengths: readonly number[]): readonly number[] {
  if (lengths.some((length) => length < 0) || lengths.every((length) => length === 0)) return [];
  return lengths.length % 2 === 1 ? [...lengths, ...lengths] : lengths;
}
