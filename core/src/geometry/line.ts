import { measurePath, type MeasuredPath, type PlaceOnPath } from "./pathLength";
import type { Path } from "./path";

/** A line of one or more runs, asked for places by the length along them, one run after another. Millimetres. */
export interface MeasuredLine {
  /** Millimetres. */
  readonly length: number;
  /** Whether it is a single run that ends where it began. */
  readonly closed: boolean;
  /** The place at a length; beyond the ends the line goes on straight, and a closed one goes round. */
  at: (length: number) => PlaceOnPath;
}

/** Measures a line; null when it has no length. */
export function measureLine(path: Path): MeasuredLine | null {
  const runs = path.map(measurePath).filter(({ length }) => length > 1e-9);
  const starts: number[] = [];
  let total = 0;
  for (const { length } of runs) {
    starts.push(total);
    total += length;
  }
  const first = runs[0];
  if (!first) return null;
  const closed = runs.length === 1 && first.closed;
  const runAt = (length: number) =>
    Math.max(
      0,
      starts.findLastIndex((start) => start <= length),
    );
  return {
    length: total,
    closed,
    at(length) {
      const run = closed ? 0 : runAt(length);
      return placeOn(runs[run] ?? first, length - (starts[run] ?? 0));
    },
  };
}

function placeOn(run: MeasuredPath, length: number): PlaceOnPath {
  const place = run.at(length);
  const beyond = run.closed ? 0 : length < 0 ? length : Math.max(0, length - run.length);
  if (beyond === 0) return place;
  const { point, tangent } = place;
  return { tangent, curvature: 0, point: { x: point.x + tangent.x * beyond, y: point.y + tangent.y * beyond } };
}
