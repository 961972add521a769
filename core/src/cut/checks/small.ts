import { offsetPath } from "../../geometry/offset/offset";
import { boxOfPath, segmentsOf } from "../../geometry/path";
import { defineCutCheck } from "./definition";

/** Whether there are pieces, or holes, nowhere as wide as they should be at least: nothing of them is left half of that inside. */
export const small = defineCutCheck({
  kind: "small",
  check({ loops, vanished, settings: { smallest } }) {
    const found = loops.filter(({ run }) => {
      const { left, right, top, bottom } = boxOfPath([run]);
      if (Math.min(right - left, bottom - top) < smallest) return true;
      return smallest > 0 && offsetPath([run], -smallest / 2, "miter").length === 0;
    });
    const places = [
      ...vanished,
      ...found.flatMap(({ run }) =>
        segmentsOf(run)
          .slice(0, 1)
          .map(([start]) => start),
      ),
    ];
    return {
      state: vanished.length > 0 ? "failed" : found.length > 0 ? "doubtful" : "passed",
      figures: { count: found.length, vanished: vanished.length, smallest },
      places,
    };
  },
});
