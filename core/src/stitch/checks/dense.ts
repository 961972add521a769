import type { Point } from "../../geometry/point";
import { crowdsOf } from "../crowding";
import { densityOf } from "../density";
import { defineStitchCheck } from "./definition";

/** Places told at most, and how far they are apart, millimetres. */
const MOST = 20;
const APART = 4;
/** More needle points within one needle's width are told: where satin covers the ends of rows there are up to six, and as many where a run is tied at both ends. */
const MOST_IN_ONE = 10;

/** Whether needle points stand so close anywhere that cloth tears or thread heaps up: on a square millimetre, or within a needle's width. */
export const dense = defineStitchCheck({
  kind: "dense",
  check({ plan }) {
    const { densest } = plan.settings;
    const { left, top, side, columns, densities } = densityOf(plan);
    const over = Array.from(densities, (density, at) => ({ density, at }))
      .filter(({ density }) => density > densest)
      .sort((a, b) => b.density - a.density)
      .map(({ at }) => ({ x: left + ((at % columns) + 0.5) * side, y: top + (Math.floor(at / columns) + 0.5) * side }));
    const crowds = crowdsOf(plan, MOST_IN_ONE);
    return {
      state: over.length + crowds.length > 0 ? "doubtful" : "passed",
      figures: {
        densest,
        most: densities.reduce((most, density) => Math.max(most, density), 0),
        area: over.length,
        holes: crowds.length,
        pierced: crowds[0]?.count ?? 0,
      },
      places: apart([...crowds.map(({ x, y }) => ({ x, y })), ...over]),
    };
  },
});

function apart(places: readonly Point[]): Point[] {
  const kept: Point[] = [];
  for (const place of places) {
    if (kept.length === MOST) break;
    if (kept.every(({ x, y }) => Math.hypot(x - place.x, y - place.y) > APART)) kept.push(place);
  }
  return kept;
}
