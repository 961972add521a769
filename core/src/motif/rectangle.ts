import { extent, number } from "../fields/number";
import { arcSegments } from "../geometry/arc";
import { straight, type Cubic } from "../geometry/cubic";
import { polygonOf, subpathOf } from "../geometry/path";
import { distance } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";

/** Stands on its foot: the middle of its lower side is at the origin. */
export const rectangle = defineMotif({
  kind: "rectangle",
  fields: {
    width: extent(20),
    height: extent(30),
    /** Rounding radius; at most half the shorter side. */
    corner: number("length", 0, { min: 0 }),
  },
  outline({ width, height, corner }) {
    const half = width / 2;
    const round = Math.min(corner, half, height / 2);
    if (round === 0) {
      return [
        polygonOf([
          { x: -half, y: 0 },
          { x: -half, y: -height },
          { x: half, y: -height },
          { x: half, y: 0 },
        ]),
      ];
    }
    const arcs = [
      arcSegments(round, 180, 270, { x: -half + round, y: -round }),
      arcSegments(round, 270, 360, { x: -half + round, y: -height + round }),
      arcSegments(round, 0, 90, { x: half - round, y: -height + round }),
      arcSegments(round, 90, 180, { x: half - round, y: -round }),
    ];
    return [
      subpathOf(
        arcs.flatMap((arc, index) => [...arc, ...joining(arc, arcs[(index + 1) % 4])]),
        true,
      ),
    ];
  },
  handles: ({ width, height, corner }) => [
    lengthHandle("width", { x: 0, y: -height / 2 }, 90, width, 0.5),
    lengthHandle("height", { x: 0, y: 0 }, 0, height),
    lengthHandle("corner", { x: -width / 2, y: -height }, 90, corner),
  ],
});

/** The straight side from the end of one arc to the start of the next, if it has any length. */
function joining(arc: readonly Cubic[], next: readonly Cubic[] | undefined): Cubic[] {
  const from = arc.at(-1)?.[3];
  const to = next?.[0]?.[0];
  return from && to && distance(from, to) > 1e-9 ? [straight(from, to)] : [];
}
