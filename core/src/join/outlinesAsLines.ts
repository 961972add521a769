import type { Area } from "../geometry/area";
import { clipLines } from "../geometry/arrangement/lines";
import { segmentsOf, subpathOf, type Path, type Subpath } from "../geometry/path";
import { measurePath } from "../geometry/pathLength";
import { distance, type Point } from "../geometry/point";

/** Ends nearer than this are one place, millimetres. */
const ONE_PLACE = 1e-3;

/** The stretches of outlines, closed ones too, that lie inside an area or outside it. A run that is not cut stays itself. */
export function clipOutlines(path: Path, area: Area, keep: "inside" | "outside"): Path {
  return path.flatMap((run) => {
    const open = asLine(run);
    const left = clipLines([open], area, keep);
    const lengthOf = (own: Path) => own.reduce((sum, one) => sum + measurePath(one).length, 0);
    if (left.length === 1 && Math.abs(lengthOf(left) - lengthOf([open])) < ONE_PLACE) return [run];
    return run.closed ? joinedAtStart(left, { x: run.coordinates[0] ?? 0, y: run.coordinates[1] ?? 0 }) : left;
  });
}

/** A closed run as an open one that comes back to where it began. */
export function asLine({ closed, coordinates }: Subpath): Subpath {
  if (!closed) return { closed, coordinates };
  const [x = 0, y = 0] = coordinates;
  const [ex = 0, ey = 0] = coordinates.slice(-2);
  return { closed: false, coordinates: ex === x && ey === y ? coordinates : [...coordinates, ex, ey, x, y, x, y] };
}

/** Stretches of a closed run, the last and the first as one where they meet at its start. */
function joinedAtStart(stretches: Path, start: Point): Path {
  const [first, last] = [stretches[0], stretches.at(-1)];
  if (!first || !last || first === last) return stretches;
  const [into, from] = [segmentsOf(last), segmentsOf(first)];
  const [end, begin] = [into.at(-1)?.[3], from[0]?.[0]];
  if (!end || !begin || distance(end, start) > ONE_PLACE || distance(begin, start) > ONE_PLACE) return stretches;
  return [subpathOf([...into, ...from], false), ...stretches.slice(1, -1)];
}
