import { between, type Point } from "../../geometry/point";
import type { Course } from "../course";

/** Both sides of a band, point beside point. Millimetres. */
export interface Rails {
  /** On the left as the line runs, seen on the sheet. */
  readonly left: readonly Point[];
  /** On the right. */
  readonly right: readonly Point[];
}

/** A corner that turns by more than this is sewn up to, and begun anew: 120°. */
const BEGUN_ANEW = (2 * Math.PI) / 3;

/**
 * The sides of a band along a course, half its width away, with a point at least every `step`: at a corner the outer side
 * goes to the tip where both arms' edges meet, while the inner side stays where they do; one sharper than that ends the
 * band there and begins another. Where a bend is narrower than the band the inner side waits.
 */
export function railsOf(course: Course, half: number, step: number): Rails[] {
  const bands: Band[] = [new Band()];
  const arms = armsOf(course, step);
  arms.forEach((arm, index) => {
    const band = bands.at(-1);
    const next = arms[index + 1] ?? (course.closed ? arms[0] : undefined);
    if (!band) return;
    const isLast = index === arms.length - 1;
    const before = index > 0 ? arms[index - 1] : course.closed ? arms.at(-1) : undefined;
    const [begins, ends] = [before && turnBetween(before, arm), next && turnBetween(arm, next)];
    band.addArm(arm, half, begins ?? 0, ends ?? 0);
    if (ends === undefined) return;
    if (Math.abs(ends) > BEGUN_ANEW) {
      if (!isLast) bands.push(new Band());
    } else if (next) band.addTip(arm, next, half, ends);
  });
  return bands.filter(({ left }) => left.length > 1);
}

/** A stretch of a course without a corner, with the direction at each of its points. */
interface Arm {
  readonly points: readonly Point[];
  readonly directions: readonly Point[];
}

function armsOf({ points, corners }: Course, step: number): Arm[] {
  return corners.flatMap((corner, index) => {
    const next = corners[index + 1];
    if (next === undefined || next <= corner) return [];
    const own = closer(points.slice(corner, next + 1), step);
    return [{ points: own, directions: own.map((_, k) => directionAt(own, k)) }];
  });
}

/** A row of points with more of them where they are far apart. */
function closer(points: readonly Point[], step: number): Point[] {
  return points.flatMap((point, k) => {
    const before = points[k - 1];
    if (!before) return [point];
    const pieces = Math.max(1, Math.ceil(Math.hypot(point.x - before.x, point.y - before.y) / step));
    return Array.from({ length: pieces }, (_, piece) => between(before, point, (piece + 1) / pieces));
  });
}

function directionAt(points: readonly Point[], k: number): Point {
  const [a, b, c] = [points[k - 1] ?? points[k], points[k], points[k + 1] ?? points[k]];
  if (!a || !b || !c) return { x: 1, y: 0 };
  const [before, after] = [unit(a, b), unit(b, c)];
  return unit({ x: 0, y: 0 }, { x: before.x + after.x, y: before.y + after.y });
}

function unit(from: Point, to: Point): Point {
  const [x, y] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(x, y);
  return length > 0 ? { x: x / length, y: y / length } : { x: 0, y: 0 };
}

const ALONG: Point = { x: 1, y: 0 };

function turnBetween(arm: Arm, next: Arm): number {
  const [a, b] = [arm.directions.at(-1) ?? ALONG, next.directions[0] ?? ALONG];
  return Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y);
}

const beside = ({ x, y }: Point, direction: Point, by: number): Point => ({
  x: x + direction.y * by,
  y: y - direction.x * by,
});

/** Where the edges of two arms meet at a corner, on the side `by` says. */
function meetingOf(corner: Point, from: Point, to: Point, by: number): Point {
  const middle = unit({ x: 0, y: 0 }, { x: from.x + to.x, y: from.y + to.y });
  const cosine = middle.x * from.x + middle.y * from.y;
  return beside(corner, middle, by / Math.max(cosine, 0.2));
}

class Band implements Rails {
  readonly left: Point[] = [];
  readonly right: Point[] = [];

  addArm({ points, directions }: Arm, half: number, begins: number, ends: number): void {
    points.forEach((point, k) => {
      const direction = directions[k] ?? ALONG;
      this.add(beside(point, direction, half), beside(point, direction, -half), direction);
    });
    const [first, last] = [directions[0] ?? ALONG, directions.at(-1) ?? ALONG];
    // A corner that is begun anew is covered by going on beyond it.
    if (Math.abs(begins) > BEGUN_ANEW) this.begin(points[0], first, half, begins);
    if (Math.abs(ends) > BEGUN_ANEW) this.end(points.at(-1), last, half, ends);
  }

  /** The outer side out to the tip of a corner, the inner one where its edges meet. */
  addTip(arm: Arm, next: Arm, half: number, turn: number): void {
    const corner = arm.points.at(-1);
    const [from, to] = [arm.directions.at(-1) ?? ALONG, next.directions[0] ?? ALONG];
    if (!corner) return;
    const [left, right] = [half, -half].map((by) => meetingOf(corner, from, to, by));
    if (!left || !right) return;
    const [outer, inner] = turn > 0 ? [left, right] : [right, left];
    const reach = Math.tan(Math.abs(turn) / 2) * half;
    this.waitAt(inner, corner, reach, turn > 0);
    const after = beside(corner, to, turn > 0 ? half : -half);
    for (const place of [outer, after]) {
      this.left.push(turn > 0 ? place : inner);
      this.right.push(turn > 0 ? inner : place);
    }
  }

  /** The inner side goes no further than where the edges of both arms meet. */
  private waitAt(inner: Point, corner: Point, reach: number, isRight: boolean): void {
    const own = isRight ? this.right : this.left;
    const other = isRight ? this.left : this.right;
    for (let k = own.length - 1; k >= 0; k--) {
      const [a, b] = [own[k], other[k]];
      if (!a || !b) return;
      const middle = between(a, b, 0.5);
      if (Math.hypot(middle.x - corner.x, middle.y - corner.y) > reach) return;
      own[k] = inner;
    }
  }

  private add(left: Point, right: Point, direction: Point): void {
    this.left.push(this.forward(this.left.at(-1), left, direction));
    this.right.push(this.forward(this.right.at(-1), right, direction));
  }

  /** A side that would run back waits. */
  private forward(last: Point | undefined, next: Point, { x, y }: Point): Point {
    return last && (next.x - last.x) * x + (next.y - last.y) * y < 0 ? last : next;
  }

  private begin(corner: Point | undefined, direction: Point, half: number, turn: number): void {
    if (!corner) return;
    const [left, right] = reachOf(half, turn);
    this.left.unshift(beside(onFrom(corner, direction, -left), direction, half));
    this.right.unshift(beside(onFrom(corner, direction, -right), direction, -half));
  }

  private end(corner: Point | undefined, direction: Point, half: number, turn: number): void {
    if (!corner) return;
    const [left, right] = reachOf(half, turn);
    this.left.push(beside(onFrom(corner, direction, left), direction, half));
    this.right.push(beside(onFrom(corner, direction, right), direction, -half));
  }
}

const onFrom = ({ x, y }: Point, direction: Point, by: number): Point => ({
  x: x + direction.x * by,
  y: y + direction.y * by,
});

/**
 * How far the left side and the right one go on beyond a corner that is begun anew, whose turn is above 0 to the right: the outer
 * side by half the width, the inner one only to the outer edge of the other arm.
 */
function reachOf(half: number, turn: number): readonly [left: number, right: number] {
  const inner = half / Math.tan(Math.abs(turn) / 2);
  return turn > 0 ? [half, inner] : [inner, half];
}
