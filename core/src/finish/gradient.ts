import type { Box } from "../geometry/box";
import { cosDegrees, sinDegrees } from "../geometry/angle";
import type { Point } from "../geometry/point";
import { mixRamp } from "./mixing";
import type { LineGradientOver } from "./over";
import type { Stop } from "./stops";

interface Shared {
  readonly stops: readonly Stop[];
  /** Where between two stops their mixture is half and half, 0…1. */
  readonly midpoint: number;
  readonly over: LineGradientOver;
}

/** Colours along a line (`angle` in degrees, 0° up) or from a point outwards, in shares of a box. */
export type Gradient =
  | (Shared & { readonly kind: "linear"; readonly angle: number })
  | (Shared & {
      readonly kind: "radial";
      readonly center: Point;
      readonly radius: number;
      readonly about: "box" | "pivot";
    });

/** A gradient laid over a box. Millimetres; colours between its stops may be mixed in plain RGB. */
export type PlacedGradient =
  | { readonly kind: "linear"; readonly from: Point; readonly to: Point; readonly stops: readonly Stop[] }
  | { readonly kind: "radial"; readonly centre: Point; readonly radius: number; readonly stops: readonly Stop[] };

/** Places a gradient is told at between two stops, so that viewers that mix in RGB show what OKLab mixes. */
const STEPS = 12;

/**
 * Lays a gradient over a box: a line through its middle just long enough for the first and the last colour to touch
 * its corners; a circle about a point in it, its radius in shares of half the box's longer side.
 */
export function placeGradient(gradient: Gradient, box: Box): PlacedGradient {
  const stops = spelledOut(gradient);
  if (gradient.kind === "radial") {
    const { center, radius } = gradient;
    const { left, top, right, bottom } = box;
    const [width, height] = [right - left, bottom - top];
    const centre = { x: left + center.x * width, y: top + center.y * height };
    return { kind: "radial", centre, radius: Math.max(1e-6, (radius * Math.max(width, height)) / 2), stops };
  }
  return { kind: "linear", ...gradientLine(gradient.angle, box), stops };
}

/** The ends of a gradient's line at an angle (degrees, 0° up) over a box. Millimetres. */
export function gradientLine(angle: number, { left, top, right, bottom }: Box): { from: Point; to: Point } {
  const way = { x: sinDegrees(angle), y: -cosDegrees(angle) };
  const half = (Math.abs(way.x) * (right - left) + Math.abs(way.y) * (bottom - top)) / 2;
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  return {
    from: { x: middle.x - way.x * half, y: middle.y - way.y * half },
    to: { x: middle.x + way.x * half, y: middle.y + way.y * half },
  };
}

/** The stops with their mixtures between them. */
function spelledOut({ stops, midpoint }: Pick<Gradient, "stops" | "midpoint">): Stop[] {
  const sorted = [...stops].sort((a, b) => a.at - b.at);
  // The mixture at share s is that at sᵖ, with p such that the midpoint has one half.
  const power = Math.log(0.5) / Math.log(Math.min(0.99, Math.max(0.01, midpoint)));
  return sorted.flatMap((stop, index) => {
    const next = sorted[index + 1];
    if (!next) return [stop];
    const mixed = mixRamp([
      { at: 0, color: stop.color },
      { at: 1, color: next.color },
    ]);
    return Array.from({ length: STEPS }, (_, step) => ({
      at: stop.at + ((next.at - stop.at) * step) / STEPS,
      color: step === 0 ? stop.color : mixed((step / STEPS) ** power),
    }));
  });
}

/** A function from a place along a gradient (0…1) to its colour there. */
export function colorAlong(gradient: Pick<Gradient, "stops" | "midpoint">): (share: number) => string {
  return mixRamp(spelledOut(gradient));
}

/** The colour half way along, for where a gradient cannot be. */
export function middleOfGradient(gradient: Gradient): string {
  return mixRamp(gradient.stops)(0.5);
}
