import { beyondHoop } from "../beyondHoop";
import { defineStitchCheck } from "./definition";

/** What is this little over the edge is rounding, millimetres. */
const ON_EDGE = 0.01;
/** Places told at most. */
const MOST = 50;

/** Whether every stitch lies in the hoop. */
export const hoop = defineStitchCheck({
  kind: "hoop",
  check({ plan: { x, y, settings }, told: { box } }) {
    const outside = Array.from(x, (own, k) => ({ x: own, y: y[k] ?? 0 }))
      .map((place) => ({ ...place, beyond: beyondHoop(settings.frame, place.x, place.y) }))
      .filter(({ beyond }) => beyond > ON_EDGE)
      .sort((a, b) => b.beyond - a.beyond);
    const { left = 0, top = 0, right = 0, bottom = 0 } = box ?? {};
    return {
      state: outside.length > 0 ? "failed" : "passed",
      figures: { width: right - left, height: bottom - top, beyond: outside[0]?.beyond ?? 0 },
      places: outside.slice(0, MOST).map((place) => ({ x: place.x, y: place.y })),
    };
  },
});
