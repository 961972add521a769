import type { Box } from "../geometry/box";
import { cosDegrees, sinDegrees } from "../geometry/angle";
import type { Point } from "../geometry/point";
import { mixRamp } from "./ramp";

/** A colour at a place of a gradient, 0…1. */
interface Stop {
  readonly at: number;
  readonly color: string;
}

export const GRADIENT_OVER = ["copy", "whole"] as const;
/** Whether a gradient lies over each copy by itself, or once over the whole part. */
export type GradientOver = (typeof GRADIENT_OVER)[number];
/** A line's gradient may also run along the line itself. */
export const LINE_GRADIENT_OVER = [...GRADIENT_OVER, "line"] as const;
export type LineGradientOver = (typeof LINE_GRADIENT_OVER)[number];

interface Shared {
  readonly stops: readonly Stop[];
  /** Where between two stops their mixture is half and half, 0…1. */
  readonly midpoint: number;
  readonly over: LineGradientOver;
}

/** Colours along a line (`angle` in degrees, 0° up) or from a point outwards, in shares of a box. */
export type Gradient =
  | (Shared & { readonly kind: "linear"; readonly angle: number })
  | (Shared & { readonly kind: "radial"; readonly center: Point; readonly radius: number });

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
export function placeGradient(gradient: Gradient, { left, top, right, bottom }: Box): PlacedGradient {
  const [width, height] = [right - left, bottom - top];
  const stops = spelledOut(gradient);
  if (gradient.kind === "radial") {
    const { center, radius } = gradient;
    const centre = { x: left + center.x * width, y: top + center.y * height };
    return { kind: "radial", centre, radius: Math.max(1e-6, (radius * Math.max(width, height)) / 2), stops };
  }
  const way = { x: sinDegrees(gradient.angle), y: -cosDegrees(gradient.angle) };
  const half = (Math.abs(way.x) * width + Math.abs(way.y) * height) / 2;
  const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
  return {
    kind: "linear",
    from: { x: middle.x - way.x * half, y: middle.y - way.y * half },
    to: { x: middle.x + way.x * half, y: middle.y + way.y * half },
    stops,
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
export function middleOf(gradient: Gradient): string {
  return mixRamp(gradient.stops)(0.5);
}
