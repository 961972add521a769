import type { Matrix } from "../geometry/matrix";
import { lastCounting, indexUnder, matrixAt, numberUnder, type Counting, type Placements } from "../rules/placements";
import { middleOf, type Gradient } from "./gradient";
import { middleOfPools, type Pools } from "./pools";
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

/** What a ramp goes by: the copy's number, its ring, row or column, its distance from the sheet's centre, its direction, or what rules say. */
export const RAMP_BY = ["index", "ring", "row", "column", "distance", "angle", "paint"] as const;
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
  | Pools
  | EachPaint;

/** A paint for each outline, null for a hollow one. */
export interface EachPaint {
  readonly kind: "each";
  readonly paints: readonly (FacePainting | null)[];
}

/** What one face can be painted with. */
export type FacePainting = Extract<Paint, { kind: "flat" }> | Gradient | Pools;

/** The one colour that stands for a painting: a gradient's middle one. */
export function colorOfPainting(paint: FacePainting): string {
  if (paint.kind === "flat") return paint.color;
  return paint.kind === "pools" ? middleOfPools(paint) : middleOf(paint);
}

/** What shows nothing, as a colour. */
const CLEAR = "#00000000";

/** A function from a copy's number to its colour; a gradient's middle one stands for it. */
export function colorAt(paint: Paint, placements: Placements): (copy: number) => string {
  switch (paint.kind) {
    case "cycle": {
      const indexOf = turnTaker(paint, placements);
      return (copy) => paint.colors[indexOf(copy)] ?? "#000000";
    }
    case "flat":
    case "linear":
    case "radial":
    case "pools": {
      const color = colorOfPainting(paint);
      return () => color;
    }
    case "each":
      return (copy) => {
        const own = paint.paints[copy];
        return own ? colorOfPainting(own) : CLEAR;
      };
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
  if (paint.by === "distance" || paint.by === "angle") {
    const rankOf = ranked(placements, paint.by === "distance" ? distanceOf : angleOf);
    return (copy) => rankOf(copy) % turns;
  }
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
    case "ring":
    case "row":
    case "column":
      return countedShare(by, placements);
    case "paint":
      return (copy) => (paint ? Math.min(1, Math.max(0, paint[copy] ?? 0)) : inOrder(copy));
    case "angle":
      return (copy) => angleOf(matrixAt(matrices, copy));
    case "distance": {
      let furthest = 0;
      const distance = (copy: number) => distanceOf(matrixAt(matrices, copy));
      for (let copy = 0; copy < count; copy++) furthest = Math.max(furthest, distance(copy));
      return (copy) => (furthest > 0 ? distance(copy) / furthest : 0);
    }
  }
}

function distanceOf([, , , , e, f]: Matrix): number {
  return Math.hypot(e, f);
}

/** The direction of a copy from the sheet's centre as a share of a full turn, 0 up, clockwise. */
function angleOf([, , , , e, f]: Matrix): number {
  return (Math.atan2(e, -f) / (2 * Math.PI) + 1) % 1;
}

/** Copies whose values differ by less than this have one rank. */
const ONE_RANK = 1e-4;

/** The place of each copy's value among all values there are, from the least on. */
function ranked({ count, matrices }: Placements, valueOf: (matrix: Matrix) => number): (copy: number) => number {
  const values = Array.from({ length: count }, (_, copy) => valueOf(matrixAt(matrices, copy)));
  const order = [...values.keys()].sort((a, b) => (values[a] ?? 0) - (values[b] ?? 0));
  const ranks = new Int32Array(count);
  let rank = 0;
  order.forEach((copy, at) => {
    const before = values[order[at - 1] ?? copy] ?? 0;
    if ((values[copy] ?? 0) - before > ONE_RANK) rank += 1;
    ranks[copy] = rank;
  });
  return (copy) => ranks[copy] ?? 0;
}

/** Where a copy's ring, row or column stands among those there are. */
function countedShare(by: "ring" | "row" | "column", placements: Placements): (copy: number) => number {
  const counting = COUNTINGS.get(by) ?? "rings";
  const rule = lastCounting(placements, counting);
  const numbers = Array.from({ length: placements.count }, (_, copy) => numberUnder(placements, rule, counting, copy));
  const most = numbers.reduce((greatest, number) => Math.max(greatest, number), 0);
  return (copy) => (most > 0 ? (numbers[copy] ?? 0) / most : 0);
}

export function isGradient(paint: Paint): paint is Gradient {
  return paint.kind === "linear" || paint.kind === "radial";
}
