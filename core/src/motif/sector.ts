import { extent, number } from "../fields/number";
import { arcSegments } from "../geometry/arc";
import { straight, type Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { ORIGIN, polar } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, lengthHandle } from "./handles";

/** A slice of a disc, or of a ring when it has an inner radius. */
export const sector = defineMotif({
  kind: "sector",
  fields: {
    outer: extent(40),
    inner: number("length", 0, { min: 0 }),
    from: number("angle", -30),
    to: number("angle", 30),
  },
  outline({ outer, inner, from, to }) {
    const rim = arcSegments(outer, from, to);
    const [a, b] = [polar(inner, from), polar(inner, to)];
    const back: Cubic[] = inner > 0 ? arcSegments(inner, to, from) : [];
    return [subpathOf([straight(a, polar(outer, from)), ...rim, straight(polar(outer, to), b), ...back], true)];
  },
  handles: ({ outer, inner, from, to }) => [
    lengthHandle("outer", ORIGIN, (from + to) / 2, outer),
    lengthHandle("inner", ORIGIN, (from + to) / 2, inner),
    angleHandle("from", (outer + inner) / 2, from),
    angleHandle("to", (outer + inner) / 2, to),
  ],
  conflicts: ({ outer, inner, from, to }) => [
    ...(inner < outer
      ? []
      : [{ path: "inner", message: `must be less than outer, which is ${outer}`, mend: outer / 2 }]),
    ...(from < to && to - from < 360
      ? []
      : [{ path: "to", message: "must be more than “from”, by less than a full turn", mend: from + 60 }]),
  ],
});
