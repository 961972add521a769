import { colorsOfFill, FILL, type FillKind, type FillValue } from "@twin-petal/core";

/** The fill with other colours, of the same kind, or of the first one where it had none; one colour alone is flat. */
export function recolored(fill: FillValue, colors: readonly string[], first: FillKind = "cycle"): FillValue {
  const [only] = colors;
  if (colors.length === 1 && only !== undefined) return only;
  const before = typeof fill === "string" ? {} : fill;
  return FILL[typeof fill === "string" ? first : fill.kind].recolored(colors, before);
}

/** The same colours in another kind of fill. */
export function ofKind(kind: FillKind, fill: FillValue): FillValue {
  return FILL[kind].recolored(colorsOfFill(fill), typeof fill === "string" ? {} : fill);
}

/** A second colour that stands well beside the first: its hue kept, much lighter or much darker. */
export function companionOf(color: string): string {
  if (!color.startsWith("#")) return "#E7C9A0";
  const channels = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const light = channels.reduce((sum, channel) => sum + channel, 0) / 3 > 128;
  const mixed = channels.map((channel) => Math.round(light ? channel * 0.45 : channel + (255 - channel) * 0.62));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
}
