import { getStrokeOutlinePoints, getStrokePoints } from "perfect-freehand";
import type { StrokeValue } from "./strokes";
import type { Cubic } from "../../geometry/cubic";
import { subpathOf, type Path } from "../../geometry/path";
import { between, type Point } from "../../geometry/point";

/** How strokes are drawn: width in millimetres, the others from 0 to 1. */
export interface Hand {
  /** Millimetres at the usual pressure. */
  readonly width: number;
  /** How far the hand's trembling is evened out, 0…1. */
  readonly steady: number;
  /** How thin its ends become, 0…1. */
  readonly taper: number;
  /** How far pressure changes the width, 0…1. */
  readonly pressing: number;
}

const pointOf = ([x = 0, y = 0]: readonly number[]): Point => ({ x, y });

/** The middle of a stroke once it is steadied, millimetres. Its first and last points stay. */
export function steadied(stroke: StrokeValue, steady: number): Point[] {
  const points = getStrokePoints(inFine(stroke), { streamline: steady, size: 1, last: true });
  const middle = points.map(({ point }) => pointOf(point.map((entry) => entry / FINE)));
  const last = stroke.at(-1);
  return last ? [...middle.slice(0, -1), { x: last[0], y: last[1] }] : middle;
}

/** The outline of one stroke as a closed run of smooth curves. */
export function strokeOutline(stroke: StrokeValue, { width, steady, taper, pressing }: Hand): Path {
  const points = getStrokePoints(inFine(stroke), { streamline: steady, size: width * FINE, last: true });
  const length = points.at(-1)?.runningLength ?? 0;
  const end = taper > 0 ? { taper: (taper * length) / 2 } : { taper: 0 };
  const outline = getStrokeOutlinePoints(points, {
    size: width * FINE,
    thinning: pressing,
    smoothing: 0.5,
    simulatePressure: false,
    start: end,
    end,
    last: true,
  });
  return smoothLoop(outline.map((point) => pointOf(point.map((entry) => entry / FINE))));
}

/** The package counts in pixels and drops what is nearer than one; strokes are handed to it in hundredths of a millimetre. */
const FINE = 100;

function inFine(stroke: StrokeValue): number[][] {
  return stroke.map(([x, y, pressure]) => [x * FINE, y * FINE, pressure]);
}

/** A closed run through the middles of a polygon's edges, bending at its corners: quadratics raised to cubics. */
function smoothLoop(corners: readonly Point[]): Path {
  if (corners.length < 3) return [];
  const middle = (k: number): Point => {
    const corner = corners[k % corners.length];
    const next = corners[(k + 1) % corners.length];
    return corner && next ? between(corner, next, 0.5) : { x: 0, y: 0 };
  };
  const segments = corners.map((_, k): Cubic => {
    const corner = corners[(k + 1) % corners.length] ?? { x: 0, y: 0 };
    const [start, end] = [middle(k), middle(k + 1)];
    return [start, between(start, corner, 2 / 3), between(end, corner, 2 / 3), end];
  });
  return [subpathOf(segments, true)];
}
