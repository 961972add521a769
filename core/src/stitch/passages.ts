import Flatbush from "flatbush";
import FlatQueue from "flatqueue";
import { spend } from "../geometry/effort";
import { boxOfPoints, growBox, type Box } from "../geometry/box";
import { distance, ORIGIN, type Point } from "../geometry/point";
import { insideAt } from "../geometry/insideAt";
import type { Unit } from "./units";

/** Ways are known by points so far apart, millimetres. */
const APART = 2.5;
/** Going where there is no way counts so much more than going along one. */
const OFF_WAY = 1.5;

/** What it takes to look for what is near a point, and to go through one on the way elsewhere. */
const SECONDS_A_NEIGHBOUR = 30e-6;
const SECONDS_A_VISIT = 3e-6;

/** What is this little beyond an edge is rounding, millimetres. */
const ON_EDGE = 1e-6;

/** A step from one known point to another. */
interface Step {
  readonly to: number;
  readonly cost: number;
}

/**
 * Where thread may lie on its way from one place to another without being seen much: along the outlines of what the same
 * thread sews, over gaps that are travelled anyway, and across areas to where another begins inside them.
 */
export class Passages {
  private readonly points: Point[] = [];
  private readonly unitOf: number[] = [];
  private readonly wayOf: number[] = [];
  private readonly steps: Step[][] = [];
  /** The first point of each way. */
  private readonly starts: number[] = [];
  private readonly index: Flatbush;
  private readonly startIndex: Flatbush;
  private readonly groups: Int32Array;

  /** Units sewn with one thread; gaps up to `travel` (millimetres) may be gone over. */
  constructor(
    private readonly units: readonly Unit[],
    private readonly travel: number,
  ) {
    units.forEach((unit, number) => {
      for (const way of unit.ways) this.addWay(way, number);
    });
    this.index = indexOf(this.points);
    this.startIndex = indexOf(this.starts.map((start) => this.points[start]));
    this.linkNear();
    this.linkInside();
    this.groups = groupsOf(this.steps);
  }

  /** The number of the group of ways that can be gone to from a place without a jump. */
  groupAt(place: Point): number {
    return this.groups[this.nearest(place)] ?? -1;
  }

  /** Points from one place to another by a short way, without the first; null where there is none. */
  way(from: Point, to: Point): Point[] | null {
    const [start, end] = [this.nearest(from), this.nearest(to)];
    if (start < 0 || end < 0 || this.groups[start] !== this.groups[end]) return null;
    const before = new Map<number, number>();
    // By the straight distance left, no way that leads away is tried before those that lead there (A*).
    this.search(
      start,
      before,
      (at) => this.between(at, end),
      (at) => at === end,
    );
    const numbers = [end];
    for (let last = before.get(end); last !== undefined; last = before.get(last)) numbers.push(last);
    return [...numbers.reverse().flatMap((number) => this.points[number] ?? []), to];
  }

  /**
   * Which of several things is gone on to from a place: the first of them, unless it is more than twice as far along the
   * ways as the nearest, and than what is travelled over gaps. `numberAt` tells which of them begins at a known point.
   */
  nextOf(from: Point, first: number, numberAt: (point: number) => number | undefined): number {
    const start = this.nearest(from);
    if (start < 0) return first;
    let [nearest, farthest] = [first, Infinity];
    this.search(
      start,
      new Map(),
      () => 0,
      (own, cost) => {
        const number = numberAt(own);
        if (cost > farthest) return true;
        if (number === undefined) return false;
        if (farthest === Infinity) [nearest, farthest] = [number, 2 * cost + this.travel];
        if (number === first) nearest = first;
        return number === first;
      },
    );
    return nearest;
  }

  /** Dijkstra's search from a point, those first that a guess of what is left puts first; ends when `isEnd` says so. */
  private search(
    start: number,
    before: Map<number, number>,
    guess: (at: number) => number,
    isEnd: (at: number, cost: number) => boolean,
  ): void {
    const least = new Map([[start, 0]]);
    const queue = new FlatQueue<number>();
    queue.push(start, guess(start));
    for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
      spend(SECONDS_A_VISIT);
      const own = least.get(at) ?? 0;
      if (isEnd(at, own)) return;
      for (const { to: next, cost } of this.steps[at] ?? []) {
        const through = own + cost;
        if (through >= (least.get(next) ?? Infinity)) continue;
        least.set(next, through);
        before.set(next, at);
        queue.push(next, through + guess(next));
      }
    }
  }

  /** The known point nearest to a place; −1 where there is none. */
  nearest({ x, y }: Point): number {
    return this.points.length === 0 ? -1 : (this.index.neighbors(x, y, 1)[0] ?? -1);
  }

  private between(a: number, b: number): number {
    const [p, q] = [this.points[a], this.points[b]];
    return p && q ? distance(p, q) : 0;
  }

  private add(point: Point, unit: number): number {
    this.points.push(point);
    this.unitOf.push(unit);
    this.wayOf.push(this.starts.length);
    this.steps.push([]);
    return this.points.length - 1;
  }

  private link(a: number, b: number, factor: number): void {
    const cost = this.between(a, b) * factor;
    this.steps[a]?.push({ to: b, cost });
    this.steps[b]?.push({ to: a, cost });
  }

  private addWay(way: readonly Point[], unit: number): void {
    let last = -1;
    const first = this.points.length;
    if (way.length > 0) this.starts.push(first);
    way.forEach((point, k) => {
      const before = this.points[last];
      const isEnd = k === 0 || k === way.length - 1;
      if (!isEnd && before && distance(before, point) < APART / 3) return;
      for (const between of stepsBetween(before, point)) {
        const own = this.add(between, unit);
        if (last >= 0) this.link(last, own, 1);
        last = own;
      }
    });
    const [start, end] = [way[0], way.at(-1)];
    if (start && end && last > first && distance(start, end) < 1e-6) this.link(first, last, 1);
  }

  /** From each way to the others that come near, at the nearest place; bands reach out to both sides of theirs. */
  private linkNear(): void {
    const widest = this.units.reduce((most, { width }) => Math.max(most, width), 0) / 2;
    const reaches = this.units.map(({ width }) => this.travel + width / 2);
    const boxes = this.units.map(({ ways }, unit) => growBox(boxOfPoints(ways.flat()), reaches[unit] ?? 0));
    const others = neighboursOf(boxes);
    this.points.forEach((point, own) => {
      const unit = this.unitOf[own] ?? 0;
      const hasOthers = (this.units[unit]?.ways.length ?? 0) > 1;
      if (!hasOthers && !others[unit]?.some((other) => isInBox(boxes[other], point))) return;
      spend(SECONDS_A_NEIGHBOUR);
      const reach = reaches[unit] ?? 0;
      const isOther = (number: number) => this.wayOf[number] !== this.wayOf[own];
      const [other] = this.index.neighbors(point.x, point.y, 1, reach + widest, isOther);
      if (other === undefined) return;
      const half = (this.units[this.unitOf[other] ?? 0]?.width ?? 0) / 2;
      if (this.between(own, other) <= reach + half) this.link(own, other, OFF_WAY);
    });
  }

  /** What begins inside an area is gone to along a level line from its edge; so are the holes of an area. */
  private linkInside(): void {
    this.units.forEach(({ area, ways }, number) => {
      if (area.length === 0) return;
      const { left, top, right, bottom } = boxOfPoints(ways.flat());
      for (const at of this.startIndex.search(left, top, right, bottom)) {
        const own = this.starts[at] ?? -1;
        const point = this.points[own];
        if (!point) continue;
        for (const { from, to } of insideAt(area, point.y)) {
          if (point.x < from.x - ON_EDGE || point.x > to.x + ON_EDGE) continue;
          for (const x of [from.x, to.x]) {
            const edge = this.nearestOf(number, own, { x, y: point.y });
            if (edge >= 0) this.link(own, edge, OFF_WAY);
          }
        }
      }
    });
  }

  private nearestOf(unit: number, besides: number, { x, y }: Point): number {
    const isWanted = (other: number) => this.unitOf[other] === unit && other !== besides;
    return this.index.neighbors(x, y, 1, Infinity, isWanted)[0] ?? -1;
  }
}

function indexOf(points: readonly (Point | undefined)[]): Flatbush {
  const index = new Flatbush(Math.max(1, points.length));
  for (const point of points.length > 0 ? points : [ORIGIN]) {
    const { x, y } = point ?? ORIGIN;
    index.add(x, y, x, y);
  }
  index.finish();
  return index;
}

/** For each box the numbers of the others it meets. */
function neighboursOf(boxes: readonly Box[]): number[][] {
  const index = new Flatbush(Math.max(1, boxes.length));
  for (const { left, top, right, bottom } of boxes) index.add(left, top, right, bottom);
  if (boxes.length === 0) index.add(0, 0, 0, 0);
  index.finish();
  return boxes.map(({ left, top, right, bottom }, own) =>
    index.search(left, top, right, bottom, (other) => other !== own),
  );
}

function isInBox(box: Box | undefined, { x, y }: Point): boolean {
  return box !== undefined && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
}

function stepsBetween(before: Point | undefined, point: Point): Point[] {
  if (!before) return [point];
  const pieces = Math.max(1, Math.ceil(distance(before, point) / APART));
  return Array.from({ length: pieces }, (_, k) =>
    k === pieces - 1
      ? point
      : {
          x: before.x + ((point.x - before.x) * (k + 1)) / pieces,
          y: before.y + ((point.y - before.y) * (k + 1)) / pieces,
        },
  );
}

/** For each point the number of the group it hangs together with. */
function groupsOf(steps: readonly (readonly Step[])[]): Int32Array {
  const groups = new Int32Array(steps.length).fill(-1);
  let count = 0;
  for (let begun = 0; begun < steps.length; begun++) {
    if ((groups[begun] ?? 0) >= 0) continue;
    const open = [begun];
    groups[begun] = count;
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      for (const { to } of steps[at] ?? []) {
        if ((groups[to] ?? 0) >= 0) continue;
        groups[to] = count;
        open.push(to);
      }
    }
    count += 1;
  }
  return groups;
}
