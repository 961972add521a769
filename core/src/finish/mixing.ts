import { formatHex, formatHex8, interpolate } from "culori";
import type { Stop } from "./stops";

/** Colours a ramp is mixed into, its middle among them; nobody tells neighbours among so many apart. */
const SHADES = 257;

/** A function from a place on a ramp (0…1) to its colour, mixed in OKLab; before the first stop and after the last it stays. */
export function mixRamp(stops: readonly Stop[]): (share: number) => string {
  const sorted = [...stops].sort((a, b) => a.at - b.at);
  const first = sorted[0];
  const last = sorted.at(-1);
  if (!first || !last || sorted.length === 1) return () => first?.color ?? "#000000";
  const colors = sorted.map(({ color, at }): [string, number] => [color, span(first.at, last.at, at)]);
  const mix = interpolate(colors, "oklab");
  const write = sorted.some(({ color }) => color.length > 7) ? formatHex8 : formatHex;
  const shades: (string | undefined)[] = [];
  return (share) => {
    const shade = Math.round(Math.min(1, Math.max(0, span(first.at, last.at, share))) * (SHADES - 1));
    return (shades[shade] ??= (write(mix(shade / (SHADES - 1))) ?? first.color).toUpperCase());
  };
}

function span(from: number, to: number, at: number): number {
  return to === from ? 0 : (at - from) / (to - from);
}
