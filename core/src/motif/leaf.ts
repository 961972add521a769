import { extent, number } from "../fields/number";
import type { Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import type { Point } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle, shareHandle } from "./handles";
import { petalSegments } from "./petal";

/** Where a leaf is widest, in shares of its length from the foot. */
const WIDEST = 0.42;

/** A petal whose midrib bows sideways. */
export const leaf = defineMotif({
  kind: "leaf",
  fields: {
    length: extent(40),
    width: extent(16),
    /** How far the midrib bows to the right, in shares of half the length. */
    bend: number("factor", 0, { min: -1, max: 1, step: 0.05 }),
    /** 0 pointed … 1 round. */
    tip: number("share", 0),
  },
  outline({ length, width, bend, tip }) {
    const bow = (bend * length) / 2;
    const lean = ({ x, y }: Point): Point => {
      const share = -y / length;
      return { x: x + 4 * bow * share * (1 - share), y };
    };
    /** A handle leans as its node does, so that the outline stays smooth there. */
    const handle = (node: Point, end: Point): Point => {
      const slope = (-4 * bow * (1 + (2 * node.y) / length)) / length;
      const at = lean(node);
      return { x: at.x + end.x - node.x + slope * (end.y - node.y), y: end.y };
    };
    const segments = petalSegments({ length, width, widest: WIDEST, tip, foot: 0 });
    return [
      subpathOf(
        segments.map(([a, b, c, d]): Cubic => [lean(a), handle(a, b), handle(d, c), lean(d)]),
        true,
      ),
    ];
  },
  handles: ({ length, width, bend, tip }) => [
    lengthHandle("length", { x: 0, y: 0 }, 0, length),
    lengthHandle("width", { x: 2 * bend * length * WIDEST * (1 - WIDEST), y: -length * WIDEST }, 90, width, 0.5),
    { ...lengthHandle("bend", { x: 0, y: -length / 2 }, 90, bend, length / 2) },
    shareHandle("tip", { x: 0, y: -length }, { x: width / 2, y: -length }, tip),
  ],
});
