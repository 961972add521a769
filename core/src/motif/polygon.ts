import { extent, number } from "../fields/number";
import { straight } from "../geometry/cubic";
import { regularPoints, roundCorners } from "../geometry/fillet";
import { subpathOf } from "../geometry/path";
import { ORIGIN, polar } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, countHandle, lengthHandle } from "./handles";

/** A regular polygon about the origin. */
export const polygon = defineMotif({
  kind: "polygon",
  fields: {
    sides: number("count", 6, { min: 3, max: 1_000 }),
    radius: extent(20),
    /** Rounding radius of the corners; it stops growing where the roundings meet. */
    corner: number("length", 0, { min: 0 }),
    /** Direction of the first corner, degrees. */
    start: number("angle", 0),
  },
  outline({ sides, radius, corner, start }) {
    const corners = regularPoints(sides, radius, start);
    const edges = corners.map((point, index) => straight(point, corners[(index + 1) % sides] ?? point));
    return [subpathOf(roundCorners(edges, corner), true)];
  },
  handles: ({ sides, radius, corner, start }) => [
    lengthHandle("radius", ORIGIN, start, radius),
    countHandle("sides", radius, start, sides),
    angleHandle("start", radius * 0.6, start),
    lengthHandle("corner", polar(radius, start), start + 180, corner),
  ],
});
