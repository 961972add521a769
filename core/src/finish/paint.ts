import { lastCounting, indexUnder, matrixAt, numberUnder, type Counting, type Placements } from "../rules/placements";
import { middleOf, type Gradient } from "./gradient";
import { mixRamp } from "./ramp";

const COUNTINGS: ReadonlyMap<string, Counting> = new Map([
  ["ring", "rings"],
  ["row", "rows"],
  ["column", "columns"],
]);

/** A colour at a place of a ramp, 0…1. */
export interface Stop {
  readonly at: number;
  readonly color: string;
}

/** What a ramp goes by: the copy's number, its distance from the sheet's centre, its direction, or what rules say. */
export const RAMP_BY = ["index", "distance", "angle", "paint"] as const;
export type RampBy = (typeof RAMP_BY)[number];

/** What copies are painted with; colours are `#RRGGBB` or `#RRGGBBAA`. */
export type Paint =
  | { readonly kind: "flat"; readonly color: string }
  /** Colours that take turns by index, by ring, row or column, or by the index under one rule. */
  | { readonly kind: "cycle"; readonly colors: readonly string[]; readonly by: string }
  /** Colours mixed along a ramp, from stop to stop. */
  | { readonly kind: "ramp"; readonly stops: readonly Stop[]; readonly by: RampBy }
  /** Colours that change over each copy, or over the whole part. */
  | Gradient
  /** A colour for each outline, null for a hollow one. */
  | { readonly kind: "each"; readonly colors: readonly (string | null)[] };

/** What shows nothing, as a colour. */
const CLEAR = "#00000000";

/** A function from a copy's number to its colour; a gradient's middle one stands for it. */
export function colorAt(paint: Paint, placements: Placements): (copy: number) => string {
  switch (paint.kind) {
    case "flat":
      return () => paint.color;
    case "cycle": {
      const indexOf = turnTaker(paint, placements);
      return (copy) => paint.colors[indexOf(copy)] ?? "#000000";
    }
    case "linear":
    case "radial": {
      const middle = middleOf(paint);
      return () => middle;
    }
    case "each":
      return (copy) => paint.colors[copy] ?? CLEAR;
    case "ramp": {
      const mixed = mixRamp(paint.stops);
      const shareOf = rampShare(paint.by, placements);
      return (copy) => mixed(shareOf(copy));
    }
  }
}

/** The number of a copy's colour among those that take turns. */
function turnTaker(paint: Extract<Paint, { kind: "cycle" }>, placements: Placements): (copy: number) => number {
  const turns = paint.colors.length;
  if (paint.by === "index") return (copy) => copy % turns;
  const counting = COUNTINGS.get(paint.by);
  if (counting) {
    const rule = lastCounting(placements, counting);
    return (copy) => numberUnder(placements, rule, counting, copy) % turns;
  }
  const rule = Number(paint.by.slice("rule:".length)) - 1;
  const span = placements.spans.findIndex(({ number }) => number === rule);
  return (copy) => indexUnder(placements, span, copy) % turns;
}

/** Where a copy stands along a ramp, 0…1. Distances count from the sheet's centre to the furthest copy. */
function rampShare(by: RampBy, placements: Placements): (copy: number) => number {
  const { count, matrices, paint } = placements;
  const inOrder = (copy: number) => (count > 1 ? copy / (count - 1) : 0);
  switch (by) {
    case "index":
      return inOrder;
    case "paint":
      return (copy) => (paint ? Math.min(1, Math.max(0, paint[copy] ?? 0)) : inOrder(copy));
    case "angle":
      return (copy) => {
        const [, , , , e, f] = matrixAt(matrices, copy);
        return (Math.atan2(e, -f) / (2 * Math.PI) + 1) % 1;
      };
    case "distance": {
      let furthest = 0;
      const distance = (copy: number) => {
        const [, , , , e, f] = matrixAt(matrices, copy);
        return Math.hypot(e, f);
      };
      for (let copy = 0; copy < count; copy++) furthest = Math.max(furthest, distance(copy));
      return (copy) => (furthest > 0 ? distance(copy) / furthest : 0);
    }
  }
}

export function isGradient(paint: Paint): paint is Gradient {
  return paint.kind === "linear" || paint.kind === "radial";
}
