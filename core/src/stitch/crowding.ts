import type { Point } from "../geometry/point";
import { SquareLists } from "../geometry/squareLists";
import { isPierced } from "./sewnThread";
import type { StitchPlan } from "./stitchPlan";

/** A needle makes a hole so wide, millimetres. */
const NEEDLE = 0.75;

/** A place where needle points stand within a needle's width of each other. */
export interface Crowd extends Point {
  /** How many. */
  readonly count: number;
}

/** Every place where more than so many needle points stand within one needle's width, the most crowded first; no two nearer than that. */
export function crowdsOf({ x, y, how }: Pick<StitchPlan, "x" | "y" | "how">, most: number): Crowd[] {
  const squares = new SquareLists();
  const squareOf = (at: number) => Math.floor(at / NEEDLE);
  how.forEach((_, k) => {
    if (isPierced(how, k)) squares.add(squareOf(x[k] ?? 0), squareOf(y[k] ?? 0), k);
  });
  const near = (place: Point, within: number, found: (k: number) => void) => {
    for (let column = squareOf(place.x - within); column <= squareOf(place.x + within); column++) {
      for (let row = squareOf(place.y - within); row <= squareOf(place.y + within); row++) {
        for (let entry = squares.first(column, row); entry >= 0; entry = squares.next(entry)) {
          const k = squares.valueOf(entry);
          if (Math.hypot((x[k] ?? 0) - place.x, (y[k] ?? 0) - place.y) <= within) found(k);
        }
      }
    }
  };
  const crowds: (Crowd & { readonly at: number })[] = [];
  how.forEach((_, at) => {
    if (!isPierced(how, at)) return;
    const place = { x: x[at] ?? 0, y: y[at] ?? 0 };
    let count = 0;
    near(place, NEEDLE / 2, () => (count += 1));
    if (count > most) crowds.push({ ...place, count, at });
  });
  const isTold = new Uint8Array(how.length);
  return crowds
    .sort((a, b) => b.count - a.count || a.at - b.at)
    .filter((crowd) => {
      if (isTold[crowd.at]) return false;
      near(crowd, NEEDLE, (k) => (isTold[k] = 1));
      return true;
    })
    .map(({ x: across, y: down, count }) => ({ x: across, y: down, count }));
}
