import { extent, number } from "../fields/number";
import { straight } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { ORIGIN, polar } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, lengthHandle } from "./handles";

/** A straight line from the foot. */
export const line = defineMotif({
  kind: "line",
  open: true,
  fields: { length: extent(40), angle: number("angle", 0) },
  outline: ({ length, angle }) => [subpathOf([straight(ORIGIN, polar(length, angle))], false)],
  handles: ({ length, angle }) => [
    lengthHandle("length", ORIGIN, angle, length),
    angleHandle("angle", length * 0.7, angle),
  ],
});
