import { extent, number } from "../design/field";
import type { Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { defineMotif } from "./definition";
import { QUARTER_HANDLE } from "./quarterHandle";

export const petal = defineMotif({
  kind: "petal",
  fields: {
    length: extent(40),
    width: extent(16),
    /** Where it is widest: 0 at the foot, 1 at the tip. */
    widest: number("share", 0.5),
    /** 0 pointed … 1 round. */
    tip: number("share", 0),
    foot: number("share", 0),
  },
  outline({ length, width, widest, tip, foot }) {
    const half = width / 2;
    const middle = -length * widest;
    const reachUp = length * (1 - widest) * QUARTER_HANDLE;
    const reachDown = length * widest * QUARTER_HANDLE;
    const side = (sign: 1 | -1): [Cubic, Cubic] => {
      const belly = { x: sign * half, y: middle };
      return [
        [
          { x: 0, y: 0 },
          { x: sign * half * QUARTER_HANDLE * foot, y: 0 },
          { x: belly.x, y: middle + reachDown },
          belly,
        ],
        [
          belly,
          { x: belly.x, y: middle - reachUp },
          { x: sign * half * QUARTER_HANDLE * tip, y: -length },
          { x: 0, y: -length },
        ],
      ];
    };
    const [upLow, upHigh] = side(-1);
    const [downLow, downHigh] = side(1);
    return [subpathOf([upLow, upHigh, backwards(downHigh), backwards(downLow)], true)];
  },
});

function backwards([start, leave, arrive, end]: Cubic): Cubic {
  return [end, arrive, leave, start];
}
