import { flattenPath } from "./flatten";
import type { Path } from "./path";
import type { Point } from "./point";

/** Chords stay so near to their curves, millimetres; crossings smaller than that are not looked for. */
const NEAR = 0.02;
/** Outlines of more chords are not looked through. */
const MOST_CHORDS = 1_500;

/** Whether an outline is one closed run that nowhere crosses itself; a run of very many chords counts as none. */
export function isSimple(path: Path): boolean {
  const [run, ...others] = path;
  if (!run?.closed || others.length > 0) return false;
  const points = flattenPath(path, NEAR)[0] ?? [];
  const chords = points.slice(1).flatMap((end, k): [Point, Point][] => {
    const start = points[k] ?? end;
    return Math.hypot(end.x - start.x, end.y - start.y) > 1e-9 ? [[start, end]] : [];
  });
  if (chords.length > MOST_CHORDS) return false;
  // Neighbours share an end; the last and the first do too.
  return chords.every((chord, i) =>
    chords.every((other, j) => j <= i + 1 || (i === 0 && j === chords.length - 1) || !crosses(chord, other)),
  );
}

function crosses([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** On which side of a line a point lies: above 0 on one, below on the other. */
function side(from: Point, to: Point, { x, y }: Point): number {
  return (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x);
}
