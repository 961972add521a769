import { extent, number } from "../fields/number";
import type { Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { defineMotif } from "./definition";
import { lengthHandle, shareHandle } from "./handles";
import { QUARTER_HANDLE } from "./quarterHandle";

interface PetalValues {
  readonly length: number;
  readonly width: number;
  readonly widest: number;
  readonly tip: number;
  readonly foot: number;
}

/** A shape of two arcs from the foot at the origin up to the tip. */
export const petal = defineMotif<PetalValues>({
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
  outline: (values) => [subpathOf(petalSegments(values), true)],
  handles: ({ length, width, widest, tip, foot }) => [
    lengthHandle("length", { x: 0, y: 0 }, 0, length),
    lengthHandle("width", { x: 0, y: -length * widest }, 90, width, 0.5),
    shareHandle("widest", { x: 0, y: 0 }, { x: 0, y: -length }, widest),
    shareHandle("tip", { x: 0, y: -length }, { x: width / 2, y: -length }, tip),
    shareHandle("foot", { x: 0, y: 0 }, { x: width / 2, y: 0 }, foot),
  ],
});

/** A petal's four segments, clockwise from its foot. Millimetres; shares from 0 to 1. */
export function petalSegments({ length, width, widest, tip, foot }: PetalValues): Cubic[] {
  const half = width / 2;
  const middle = -length * widest;
  const reachUp = length * (1 - widest) * QUARTER_HANDLE;
  const reachDown = length * widest * QUARTER_HANDLE;
  const side = (sign: 1 | -1): [Cubic, Cubic] => {
    const belly = { x: sign * half, y: middle };
    return [
      [{ x: 0, y: 0 }, { x: sign * half * QUARTER_HANDLE * foot, y: 0 }, { x: belly.x, y: middle + reachDown }, belly],
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
  return [upLow, upHigh, backwards(downHigh), backwards(downLow)];
}

function backwards([start, leave, arrive, end]: Cubic): Cubic {
  return [end, arrive, leave, start];
}
