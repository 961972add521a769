import { extent, number } from "../fields/number";
import { arcSegments } from "../geometry/arc";
import { subpathOf } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, lengthHandle } from "./handles";

/** A piece of a circle about the origin. */
export const arc = defineMotif({
  kind: "arc",
  open: true,
  fields: { radius: extent(30), from: number("angle", -60), to: number("angle", 60) },
  outline: ({ radius, from, to }) => [subpathOf(arcSegments(radius, from, to), false)],
  handles: ({ radius, from, to }) => [
    lengthHandle("radius", ORIGIN, (from + to) / 2, radius),
    angleHandle("from", radius, from),
    angleHandle("to", radius, to),
  ],
  conflicts: ({ from, to }) =>
    from === to ? [{ path: "to", message: "must differ from “from”", mend: from + 180 }] : [],
});
