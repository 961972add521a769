import { clampChroma, formatHex, interpolate, oklch } from "culori";

/** Colours from one to another, both included, at even steps in OKLCH; hues go the shorter way round. */
export function rampBetween(from: string, to: string, count: number): string[] {
  const mix = interpolate([from.slice(0, 7), to.slice(0, 7)], "oklch");
  return Array.from({ length: count }, (_, k) => hex(mix(count > 1 ? k / (count - 1) : 0)));
}

/** Lightness of the darkest and the lightest of a colour's shades. */
const [DARKEST, LIGHTEST] = [0.25, 0.95];

/** Shades of one colour from dark to light, its hue and chroma in OKLCH kept as far as the screen has them. */
export function shadesOf(color: string, count: number): string[] {
  const { c, h = 0 } = oklch(color.slice(0, 7)) ?? { c: 0, h: 0 };
  return Array.from({ length: count }, (_, k) => {
    const share = count > 1 ? k / (count - 1) : 0.5;
    return hex({ mode: "oklch", l: DARKEST + (LIGHTEST - DARKEST) * share, c, h });
  });
}

function hex(color: Parameters<typeof clampChroma>[0]): string {
  return (formatHex(clampChroma(color, "oklch")) ?? "#000000").toUpperCase();
}
