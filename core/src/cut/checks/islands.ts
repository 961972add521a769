import { segmentsOf } from "../../geometry/path";
import { defineCutCheck } from "./definition";
import { isIsland } from "../islands";

/** Whether something falls out that should stay. */
export const islands = defineCutCheck({
  kind: "islands",
  check(plan) {
    const found = plan.loops.filter((loop) => isIsland(loop, plan.settings.kept));
    return {
      state: found.length > 0 ? "failed" : "passed",
      figures: { count: found.length },
      places: found.flatMap(({ run }) =>
        segmentsOf(run)
          .slice(0, 1)
          .map(([start]) => start),
      ),
    };
  },
});
