import type { Cubic } from "../geometry/cubic";
import { segmentsOf, type Path } from "../geometry/path";
import { distance } from "../geometry/point";
import type { LineShape } from "../geometry/strip/lineShape";
import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shape";
import { madeParts } from "./made";
import type { Scene } from "./scene";

/** How much there is to draw. */
export interface DrawnSize {
  /** Copies of outlines. */
  readonly copies: number;
  /** Sides of all of them. */
  readonly sides: number;
  /** Sides of outlines, each outline once however many copies have it. */
  readonly outlines: number;
  /** Dots and dashes along their lines. */
  readonly dots: number;
}

interface Copies {
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
}

/** How much there is to draw of copies that have such a line. */
export function drawnSizeOf({ shapes, placements }: Copies, line: LineShape | null): DrawnSize {
  const { count, shapeOf } = placements;
  const uses = new Float64Array(shapes.length);
  if (shapeOf) for (const shape of shapeOf) uses[shape] = (uses[shape] ?? 0) + 1;
  else uses[0] = count;
  const period = periodOf(line);
  let [sides, outlines, dots] = [0, 0, 0];
  shapes.forEach(({ path }, shape) => {
    const used = uses[shape] ?? 0;
    if (used === 0) return;
    const own = path.reduce((sum, { coordinates }) => sum + (coordinates.length - 2) / 6, 0);
    sides += used * own;
    outlines += own;
    if (period !== null) dots += (used * lengthOf(path)) / period;
  });
  return { copies: count, sides, outlines, dots };
}

/** How much there is to draw of everything that is made. */
export function drawnSizeOfScene(scene: Scene): DrawnSize {
  return madeParts(scene)
    .map(({ geometry, finish }) => drawnSizeOf(geometry, finish.line))
    .reduce(together, NOTHING_DRAWN);
}

/** Nothing at all. */
export const NOTHING_DRAWN: DrawnSize = { copies: 0, sides: 0, outlines: 0, dots: 0 };

/** Both. */
export function together(one: DrawnSize, other: DrawnSize): DrawnSize {
  return {
    copies: one.copies + other.copies,
    sides: one.sides + other.sides,
    outlines: one.outlines + other.outlines,
    dots: one.dots + other.dots,
  };
}

/** From one dot or dash of a line to the next, millimetres; null where there are none. */
function periodOf(line: LineShape | null): number | null {
  if (!line) return null;
  if (line.dots) return Math.max(1e-6, line.width + line.dots.gap);
  const dash = line.dash.reduce((sum, length) => sum + length, 0);
  return dash > 0 ? (2 * dash) / line.dash.length : null;
}

/** About how long outlines are: each curve between the chord of its ends and the way by its handles. */
function lengthOf(path: Path): number {
  return path.reduce((sum, run) => segmentsOf(run).reduce((own, segment) => own + aboutLengthOf(segment), sum), 0);
}

function aboutLengthOf([from, leave, arrive, to]: Cubic): number {
  return (distance(from, to) + distance(from, leave) + distance(leave, arrive) + distance(arrive, to)) / 2;
}
