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
    const beyond = Float64Array.from(x, (own, k) => beyondHoop(settings.frame, own, y[k] ?? 0));
    const furthest = furthestOf(beyond);
    const { left = 0, top = 0, right = 0, bottom = 0 } = box ?? {};
    return {
      state: furthest.length > 0 ? "failed" : "passed",
      figures: { width: right - left, height: bottom - top, beyond: beyond[furthest[0] ?? -1] ?? 0 },
      places: furthest.map((k) => ({ x: x[k] ?? 0, y: y[k] ?? 0 })),
    };
  },
});

/** The numbers of those furthest beyond the edge, the furthest first; of millions only as many are sorted as are told. */
function furthestOf(beyond: Float64Array): number[] {
  const told: number[] = [];
  beyond.forEach((own, k) => {
    const isTold = told.length < MOST || own > (beyond[told.at(-1) ?? -1] ?? 0);
    if (own <= ON_EDGE || !isTold) return;
    const place = told.findIndex((other) => (beyond[other] ?? 0) < own);
    told.splice(place < 0 ? told.length : place, 0, k);
    told.length = Math.min(told.length, MOST);
  });
  return told;
}
