import { formatHex, formatHex8, interpolate, parse, type Color } from "culori";
import type { Importing } from "./importing";
import { ROOT_STYLE, styleOf } from "./style";
import type { XmlElement } from "./xmlTree";

/** The colour half way along a gradient, which stands for it; null where there is none. */
export function middleColor(element: XmlElement, walk: Importing, trail: readonly XmlElement[] = []): string | null {
  if (!/Gradient$/.test(element.name) || trail.includes(element)) return null;
  const stops = element.children.filter(({ name }) => name === "stop");
  if (stops.length === 0) {
    const other = walk.ids.get((element.attributes.get("href") ?? "").replace(/^#/, ""));
    return other ? middleColor(other, walk, [...trail, element]) : null;
  }
  const colors = stops.map((stop): [Color, number] => {
    const { own } = styleOf(stop, ROOT_STYLE, walk.sheet);
    const color = parse(own.get("stop-color") ?? "black") ?? { mode: "rgb", r: 0, g: 0, b: 0 };
    const opacity = Number.parseFloat(own.get("stop-opacity") ?? "1");
    const offset = own.get("offset") ?? "0";
    const at = Number.parseFloat(offset) / (offset.trim().endsWith("%") ? 100 : 1);
    return [
      { ...color, alpha: (color.alpha ?? 1) * (Number.isFinite(opacity) ? opacity : 1) },
      Number.isFinite(at) ? at : 0,
    ];
  });
  const [first] = colors;
  if (!first) return null;
  const middle = colors.length === 1 ? first[0] : interpolate(colors, "rgb")(0.5);
  return ((middle.alpha ?? 1) >= 1 ? formatHex(middle) : formatHex8(middle)).toUpperCase();
}
