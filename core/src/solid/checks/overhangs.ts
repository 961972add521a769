import type { SpacePoint } from "../../geometry/space";
import { defineCheck, MOST_PLACES } from "./definition";
import { facesOf } from "../../form/faces";

/** What is nearer than this to the bed lies on it, millimetres. */
const ON_BED = 1e-2;

/** Faces that lean out over nothing by more than an angle from the upright, and their area. */
export const overhangs = defineCheck({
  kind: "overhangs",
  check({ whole, making: { overhang } }) {
    const least = Math.sin((overhang * Math.PI) / 180) + 1e-6;
    const found: { place: SpacePoint; area: number }[] = [];
    for (const { middle, normal, area, highest } of facesOf(whole)) {
      if (-normal.z > least && highest > ON_BED) found.push({ place: middle, area });
    }
    found.sort((a, b) => b.area - a.area);
    return {
      state: found.length === 0 ? "passed" : "doubtful",
      figures: { area: found.reduce((sum, { area }) => sum + area, 0), limit: overhang },
      places: found.slice(0, MOST_PLACES).map(({ place }) => place),
    };
  },
});
