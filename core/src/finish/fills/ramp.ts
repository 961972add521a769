import { choice } from "../../fields/choice";
import { matrixAt, lastCounting, numberUnder, type Placements } from "../../rules/placements";
import { angleOf, COUNTINGS, distanceOf } from "../copyOrder";
import { mixRamp } from "../mixing";
import { STOPS, stopsIn, stopsOf } from "../stops";
import { defineAcross } from "./definition";

/** What a ramp goes by: the copy's number, its ring, row or column, its distance from the sheet's centre, its direction, or what rules say. */
const RAMP_BY = ["index", "ring", "row", "column", "distance", "angle", "paint"] as const;
/** What a ramp goes by. */
type RampBy = (typeof RAMP_BY)[number];

/** Colours mixed along the copies, from stop to stop. */
export const ramp = defineAcross({
  kind: "ramp",
  fields: { stops: STOPS, by: choice(RAMP_BY, "index") },
  recolored: (colors, { by }, before) => ({ stops: stopsOf(colors, stopsIn(before)), by }),
  colorsOf: ({ stops }) => stops.map(({ color }) => color),
  isCarried: ({ by }) => by === "paint",
  colorAt({ stops, by }, placements) {
    const mixed = mixRamp(stops);
    const shareOf = rampShare(by, placements);
    return (copy) => mixed(shareOf(copy));
  },
});

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

/** Where a copy's ring, row or column stands among those there are. */
function countedShare(by: "ring" | "row" | "column", placements: Placements): (copy: number) => number {
  const counting = COUNTINGS.get(by) ?? "rings";
  const rule = lastCounting(placements, counting);
  const numbers = Array.from({ length: placements.count }, (_, copy) => numberUnder(placements, rule, counting, copy));
  const most = numbers.reduce((greatest, number) => Math.max(greatest, number), 0);
  return (copy) => (most > 0 ? (numbers[copy] ?? 0) / most : 0);
}
