import { extent, number } from "../fields/number";
import { straight, type Cubic } from "../geometry/cubic";
import { roundCorners } from "../geometry/fillet";
import { subpathOf } from "../geometry/path";
import { between, directionOf, distance, ORIGIN, polar, type Point } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, countHandle, lengthHandle } from "./handles";

/** A star about the origin, its edges straight or bowed. */
export const star = defineMotif({
  kind: "star",
  fields: {
    points: number("count", 7, { min: 2, max: 1_000 }),
    outer: extent(20),
    inner: extent(9),
    corner: number("length", 0, { min: 0 }),
    /** How far the edges bow: −1 inwards … 1 outwards, in half edge lengths. */
    bulge: number("factor", 0, { min: -1, max: 1, step: 0.05 }),
    start: number("angle", 0),
  },
  outline({ points, outer, inner, corner, bulge, start }) {
    const corners = Array.from({ length: 2 * points }, (_, index) =>
      polar(index % 2 === 0 ? outer : inner, start + (index * 180) / points),
    );
    const edges = corners.map((point, index) => bowed(point, corners[(index + 1) % corners.length] ?? point, bulge));
    return [subpathOf(roundCorners(edges, corner), true)];
  },
  handles({ points, outer, inner, corner, bulge, start }) {
    const [tip, notch] = [polar(outer, start), polar(inner, start + 180 / points)];
    const half = distance(tip, notch) / 2;
    return [
      lengthHandle("outer", ORIGIN, start, outer),
      lengthHandle("inner", ORIGIN, start + 180 / points, inner),
      countHandle("points", outer, start, points),
      angleHandle("start", outer * 0.6, start),
      lengthHandle("corner", tip, start + 180, corner),
      // A cubic's middle stands three quarters of the way to its handles.
      lengthHandle("bulge", between(tip, notch, 0.5), directionOf(tip, notch) - 90, bulge, half * 0.75),
    ];
  },
});

/** An edge with its handles at the thirds, moved square to it; the motif goes clockwise, so out is left. */
function bowed(start: Point, end: Point, bulge: number): Cubic {
  if (bulge === 0) return straight(start, end);
  const reach = (bulge * distance(start, end)) / 2;
  const length = distance(start, end);
  const out = { x: (end.y - start.y) / length, y: -(end.x - start.x) / length };
  const handle = (t: number): Point => {
    const rest = between(start, end, t);
    return { x: rest.x + out.x * reach, y: rest.y + out.y * reach };
  };
  return [start, handle(1 / 3), handle(2 / 3), end];
}
