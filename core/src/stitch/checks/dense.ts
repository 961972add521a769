import { densityOf } from "../density";
import { defineStitchCheck } from "./definition";

/** Places told at most, and how far they are apart: squares. */
const MOST = 20;
const APART = 4;

/** Whether needle points stand so close anywhere that cloth tears or thread heaps up. */
export const dense = defineStitchCheck({
  kind: "dense",
  check({ plan }) {
    const { densest } = plan.settings;
    const { left, top, side, columns, densities } = densityOf(plan);
    const over = Array.from(densities, (density, at) => ({ density, at }))
      .filter(({ density }) => density > densest)
      .sort((a, b) => b.density - a.density);
    const places: { x: number; y: number }[] = [];
    for (const { at } of over) {
      const place = { x: left + ((at % columns) + 0.5) * side, y: top + (Math.floor(at / columns) + 0.5) * side };
      const isApart = places.every(({ x, y }) => Math.hypot(x - place.x, y - place.y) > APART * side);
      if (isApart && places.length < MOST) places.push(place);
    }
    return {
      state: over.length > 0 ? "doubtful" : "passed",
      figures: { densest, most: densities.reduce((most, density) => Math.max(most, density), 0), area: over.length },
      places,
    };
  },
});
