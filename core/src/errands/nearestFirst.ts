import type { Point } from "../geometry/point";
import { endOf, endsOf, isEntry, type Errand, type Visit } from "./errand";

/** To the nearest errand each time, of those left. */
export function nearestFirst(errands: readonly Errand[], start: Point): Visit[] {
  const left = new Set(errands.keys());
  const index = endsOf(errands);
  const visits: Visit[] = [];
  let at = start;
  while (left.size > 0) {
    const [entry] = index.neighbors(at.x, at.y, 1, Infinity, (end) => left.has(end >> 1) && isEntry(errands, end));
    if (entry === undefined) break;
    const visit = { errand: entry >> 1, backwards: entry % 2 === 1 };
    visits.push(visit);
    left.delete(visit.errand);
    at = endOf(errands, visit);
  }
  return visits;
}
