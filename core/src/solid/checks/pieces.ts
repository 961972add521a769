import type { SpacePoint } from "../../geometry/space";
import { defineCheck } from "./definition";

/** In how many pieces it is; more than one may be meant. */
export const pieces = defineCheck({
  kind: "pieces",
  check({ solid }) {
    const parts = solid.decompose();
    const found = parts.map((part) => {
      const { min, max } = part.boundingBox();
      const place: SpacePoint = { x: (min[0] + max[0]) / 2, y: (min[1] + max[1]) / 2, z: (min[2] + max[2]) / 2 };
      return { place, volume: part.volume() };
    });
    for (const part of parts) part.delete();
    // The largest is the work; the others lie beside it.
    const others = found.sort((a, b) => b.volume - a.volume).slice(1);
    return {
      state: found.length === 1 ? "passed" : "doubtful",
      figures: { pieces: found.length },
      places: others.map(({ place }) => place),
    };
  },
});
