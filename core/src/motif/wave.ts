import { choice } from "../fields/choice";
import { extent, number } from "../fields/number";
import { straight, type Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { ORIGIN, type Point } from "../geometry/point";
import { defineMotif } from "./definition";
import { lengthHandle } from "./handles";

/** Pieces one sine wave is drawn in: the curve is then off by less than 1e-4 of its height. */
const PIECES = 16;

interface WaveValues {
  readonly length: number;
  readonly height: number;
  readonly waves: number;
  readonly shape: "sine" | "triangle" | "square";
}

/** A line that grows up from its foot, swinging half its height to either side. */
export const wave = defineMotif<WaveValues>({
  kind: "wave",
  open: true,
  fields: {
    length: extent(60),
    /** From one side of the swing to the other. */
    height: number("length", 12, { min: 0 }),
    waves: number("count", 3, { max: 1_000 }),
    shape: choice(["sine", "triangle", "square"], "sine"),
  },
  outline: (values) => [subpathOf(values.shape === "sine" ? sine(values) : zigzag(values), false)],
  handles: ({ length, height, waves }) => [
    lengthHandle("length", ORIGIN, 0, length),
    lengthHandle("height", { x: 0, y: -length / waves / 4 }, 90, height, 0.5),
    {
      field: "waves",
      at: { x: 0, y: -length / waves },
      direction: 0,
      pull: ({ y }) => Math.round(length / Math.max(-y, length / 1_000)),
    },
  ],
});

/** Hermite pieces: the ends' slopes are the sine's own. */
function sine({ length, height, waves }: WaveValues): Cubic[] {
  const count = PIECES * waves;
  const step = length / count;
  const phase = (2 * Math.PI * waves) / length;
  const at = (k: number): Point => ({ x: (height / 2) * Math.sin(phase * k * step), y: -k * step });
  const handle = (k: number, side: 1 | -1): Point => {
    const { x, y } = at(k);
    const slope = (height / 2) * phase * Math.cos(phase * k * step);
    return { x: x + (side * slope * step) / 3, y: y - (side * step) / 3 };
  };
  return Array.from({ length: count }, (_, k): Cubic => [at(k), handle(k, 1), handle(k + 1, -1), at(k + 1)]);
}

function zigzag({ length, height, waves, shape }: WaveValues): Cubic[] {
  const side = height / 2;
  const quarter = length / waves / 4;
  const corners: Point[] = [ORIGIN];
  for (let wave = 0; wave < waves; wave++) {
    const place = (x: number, quarters: number): Point => ({ x, y: -(4 * wave + quarters) * quarter });
    if (shape === "triangle") corners.push(place(side, 1), place(-side, 3), place(0, 4));
    else corners.push(place(side, 0), place(side, 2), place(-side, 2), place(-side, 4), place(0, 4));
  }
  return corners.slice(1).map((corner, index) => straight(corners[index] ?? ORIGIN, corner));
}
