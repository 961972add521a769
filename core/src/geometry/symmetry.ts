import { distanceToChord } from "./chordDistance";
import { flattenPath } from "./flatten";
import { apply, IDENTITY, type Matrix } from "./matrix";
import { segmentsOf, type Path } from "./path";
import { pointAt } from "./cubic";
import type { Point } from "./point";

const SAMPLES_PER_SEGMENT = [0, 0.25, 0.5, 0.75, 1];

/** A path prepared for asking, many times, whether a map carries it onto itself. */
export interface SymmetryProbe {
  /** A point every symmetry of the path keeps in place. */
  readonly centre: Point;
  /** Whether a map carries the outline onto itself. */
  isSymmetry: (matrix: Matrix) => boolean;
}

/**
 * Whether maps carry a path onto itself, within a tolerance in millimetres: every sampled point of
 * the moved path must lie on the path. Answers for the same map are remembered.
 */
export function symmetryProbe(path: Path, tolerance: number): SymmetryProbe {
  const runs = flattenPath(path, tolerance / 4);
  const samples = path.flatMap((subpath) =>
    segmentsOf(subpath).flatMap((segment) => SAMPLES_PER_SEGMENT.map((t) => pointAt(segment, t))),
  );
  const remembered = new Map<string, boolean>();
  return {
    centre: centreOf(runs),
    isSymmetry(matrix) {
      if (samples.length === 0) return false;
      if (matrix.every((entry, place) => Math.abs(entry - (IDENTITY[place] ?? 0)) < 1e-9)) return true;
      const key = matrix.map((entry) => Math.round(entry * 1e6)).join();
      const known = remembered.get(key);
      if (known !== undefined) return known;
      const answer = samples.every((sample) => liesOn(apply(matrix, sample), runs, tolerance));
      remembered.set(key, answer);
      return answer;
    },
  };
}

/** The centre of area of closed runs; of lines, which have none, the middle of their points. */
function centreOf(runs: readonly Point[][]): Point {
  let twiceArea = 0;
  let x = 0;
  let y = 0;
  for (const points of runs) {
    points.forEach((p, index) => {
      const q = points[(index + 1) % points.length] ?? p;
      const cross = p.x * q.y - q.x * p.y;
      twiceArea += cross;
      x += (p.x + q.x) * cross;
      y += (p.y + q.y) * cross;
    });
  }
  if (Math.abs(twiceArea) > 1e-9) return { x: x / (3 * twiceArea), y: y / (3 * twiceArea) };
  const all = runs.flat();
  const mean = (pick: (p: Point) => number) => all.reduce((sum, p) => sum + pick(p), 0) / Math.max(1, all.length);
  return { x: mean((p) => p.x), y: mean((p) => p.y) };
}

function liesOn(point: Point, runs: readonly Point[][], tolerance: number): boolean {
  return runs.some((points) =>
    points.some((start, index) => distanceToChord(point, start, points[index + 1] ?? start) <= tolerance),
  );
}
