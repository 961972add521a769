import { at } from "../../geometry/at";
import type { SpacePoint } from "../../geometry/space";
import { defineCheck } from "./definition";

/** What is nearer than this to the bed lies on it, millimetres. */
const ON_BED = 1e-3;

/** Whether its lowest point is on the bed: neither above it nor below. */
export const rests = defineCheck({
  kind: "rests",
  check({ whole: { positions } }) {
    let lowest: SpacePoint = { x: 0, y: 0, z: Infinity };
    for (let k = 0; k + 2 < positions.length; k += 3) {
      const z = at(positions, k + 2);
      if (z < lowest.z) lowest = { x: at(positions, k), y: at(positions, k + 1), z };
    }
    const isOn = Math.abs(lowest.z) <= ON_BED;
    return {
      state: isOn ? "passed" : lowest.z < 0 ? "failed" : "doubtful",
      figures: { lowest: lowest.z },
      places: isOn ? [] : [lowest],
    };
  },
});
