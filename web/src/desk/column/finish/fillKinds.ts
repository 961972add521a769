import {
  colorsOfFill,
  LINEAR_DEFAULT,
  RADIAL_DEFAULT,
  type FillValue,
  type PoolValue,
  type StopValue,
} from "@twin-petal/core";

/** What several colours do: take turns from copy to copy, mix along the copies, or go over into each other. */
export const FILL_KINDS = [
  { value: "cycle", words: "in turn" },
  { value: "ramp", words: "mixed" },
  { value: "linear", words: "in a line" },
  { value: "radial", words: "from a point out" },
  { value: "pools", words: "in pools" },
] as const;
/** What one face can be filled with: nothing that goes from copy to copy. */
export const FACE_KINDS = FILL_KINDS.filter(({ value }) => value !== "cycle" && value !== "ramp");
export type FillKind = (typeof FILL_KINDS)[number]["value"];

/** Colours at even distances; where there are as many as before, each keeps its place. */
function stopsOf(colors: readonly string[], before: readonly StopValue[]): StopValue[] {
  const last = Math.max(1, colors.length - 1);
  const kept = before.length === colors.length ? before : [];
  return colors.map((color, index) => ({ at: kept[index]?.at ?? index / last, color }));
}

/** Where pools begin: in the corners first, then the middle and the middles of the sides. */
const POOL_PLACES = [
  { x: 0, y: 0 },
  { x: 1, y: 1 },
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: 0.5, y: 0.5 },
  { x: 0.5, y: 0 },
  { x: 1, y: 0.5 },
  { x: 0.5, y: 1 },
  { x: 0, y: 0.5 },
] as const;

/** Pools of the given colours; those there were keep their places, whether one was added or one left. */
function poolsOf(colors: readonly string[], before: readonly PoolValue[]): PoolValue[] {
  const left = before.length > colors.length ? before.filter(({ color }) => colors.includes(color)) : before;
  return colors.map((color, index) => ({
    ...(left[index] ?? POOL_PLACES[index % POOL_PLACES.length] ?? { x: 0.5, y: 0.5 }),
    color,
  }));
}

/** The fill with other colours, of the same kind, or of the first one where it had none; one colour alone is flat. */
export function recolored(fill: FillValue, colors: readonly string[], first: FillKind = "cycle"): FillValue {
  const [only] = colors;
  if (colors.length === 1 && only !== undefined) return only;
  if (typeof fill === "string") return ofKind(first, { kind: "cycle", colors, by: "index" });
  if (fill.kind === "cycle") return { ...fill, colors };
  return fill.kind === "pools"
    ? { ...fill, points: poolsOf(colors, fill.points) }
    : { ...fill, stops: stopsOf(colors, fill.stops) };
}

/** The same colours in another kind of fill. */
export function ofKind(kind: FillKind, fill: FillValue): FillValue {
  const colors = colorsOfFill(fill);
  const stops = stopsOf(colors, typeof fill === "object" && "stops" in fill ? fill.stops : []);
  switch (kind) {
    case "cycle":
      return { kind, colors, by: "index" };
    case "ramp":
      return { kind, stops, by: "index" };
    case "linear":
      return { ...LINEAR_DEFAULT, stops };
    case "radial":
      return { ...RADIAL_DEFAULT, stops };
    case "pools":
      return { kind, points: poolsOf(colors, []), over: "copy" };
  }
}

/** A second colour that stands well beside the first: its hue kept, much lighter or much darker. */
export function companionOf(color: string): string {
  if (!color.startsWith("#")) return "#E7C9A0";
  const channels = [1, 3, 5].map((at) => Number.parseInt(color.slice(at, at + 2), 16));
  const light = channels.reduce((sum, channel) => sum + channel, 0) / 3 > 128;
  const mixed = channels.map((channel) => Math.round(light ? channel * 0.45 : channel + (255 - channel) * 0.62));
  return `#${mixed.map((channel) => channel.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
}
