import { number } from "../fields/number";
import { Incomputable } from "../formula/incomputable";
import { chordsOfCircle } from "./area";
import { spendOnCorners } from "./cornerEffort";
import { defineForm } from "./definition";

/** The half of the outline right of the upright axis, swept about that axis, which stands up; clockwise from above. */
export const revolve = defineForm({
  kind: "revolve",
  fields: { sweep: number("angle", 360, { min: 1, max: 360 }) },
  solid(area, { sweep }, { tolerance, arena }) {
    const reach = area.bounds().max[0];
    if (reach <= 0) {
      throw new Incomputable(
        "form",
        "revolves what lies right of the upright axis, and all of it lies left; move it right",
      );
    }
    const chords = chordsOfCircle(reach, tolerance);
    spendOnCorners(area.numVert() * chords);
    const whole = arena.keep(area.revolve(chords, sweep));
    return sweep === 360 ? whole : arena.keep(whole.rotate(0, 0, -sweep));
  },
});
