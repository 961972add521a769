import { distanceToChord } from "../geometry/chordDistance";
import { between, distance, type Point } from "../geometry/point";
import type { StitchPlan, StitchSettings } from "./stitchPlan";

/** The needle goes down there. */
export const SEWN = 0;
/** It moved there without sewing. */
export const MOVED = 1;
/** It moved there after the thread was trimmed. */
export const TRIMMED = 2;
/** It moved there with the next thread. */
export const NEXT_THREAD = 3;
/** There it ends. */
export const ENDED = 4;

/** How the needle moves to where it begins anew. */
type Move = typeof MOVED | typeof TRIMMED | typeof NEXT_THREAD;

/** How far the short stitches go by which thread is tied, millimetres. */
const TIE = 0.6;

/** A stitch is not too short by so little, millimetres. */
const ROUNDING = 1e-3;

/** A piece of a run that belongs to one part. */
interface Piece {
  readonly part: string;
  readonly points: readonly Point[];
}

/** Thread as it is sewn: runs are tied at both ends, long stitches split, short ones left out. */
export class SewnThread {
  private readonly x: number[] = [];
  private readonly y: number[] = [];
  private readonly how: number[] = [];
  private readonly spans: { part: string; thread: number; from: number; to: number }[] = [];
  private thread = 0;
  private move: Move = MOVED;
  private run: Piece[] = [];

  /** How the machine sews. */
  constructor(private readonly settings: StitchSettings) {}

  /** Where the needle is; null before anything is sewn. */
  get last(): Point | null {
    return this.run.at(-1)?.points.at(-1) ?? null;
  }

  /** Begins a run anew, after the move that leads there. */
  begin(points: readonly Point[], move: Move, part: string): void {
    this.endRun();
    this.move = move;
    this.run = [{ part, points }];
  }

  /** Goes on with the run without a break. */
  goOn(points: readonly Point[], part: string): void {
    if (points.length > 0) this.run.push({ part, points });
  }

  /** Everything sewn. */
  end(): Pick<StitchPlan, "x" | "y" | "how" | "spans"> {
    this.endRun();
    const [x, y] = [this.x.at(-1), this.y.at(-1)];
    if (x !== undefined && y !== undefined) this.put({ x, y }, ENDED, this.spans.at(-1)?.part ?? "");
    return {
      x: Float64Array.from(this.x),
      y: Float64Array.from(this.y),
      how: Uint8Array.from(this.how),
      spans: this.spans,
    };
  }

  private endRun(): void {
    const { points, parts } = withoutShort(this.run, this.settings.shortest);
    this.run = [];
    const [first, second] = points;
    const [last, before] = [points.at(-1), points.at(-2)];
    if (!first || !second || !last || !before) return;
    if (this.move === NEXT_THREAD) this.thread += 1;
    const { tie } = this.settings;
    this.put(first, this.move, parts[0] ?? "");
    if (tie) this.tie(first, second, parts[0] ?? "");
    for (let k = 1; k < points.length; k++) {
      const [from, to] = [points[k - 1], points[k]];
      if (from && to) this.sewTo(from, to, parts[k] ?? "");
    }
    if (tie) this.tie(last, before, parts.at(-1) ?? "");
  }

  private sewTo(from: Point, to: Point, part: string): void {
    const pieces = Math.max(1, Math.ceil(distance(from, to) / this.settings.longest - 1e-9));
    for (let k = 1; k < pieces; k++) this.put(between(from, to, k / pieces), SEWN, part);
    this.put(to, SEWN, part);
  }

  /** Three short stitches, away and back. */
  private tie(point: Point, towards: Point, part: string): void {
    const whole = distance(point, towards);
    const share = whole > 0 ? Math.min(1, TIE / whole) : 0;
    this.put(between(point, towards, share), SEWN, part);
    this.put(between(point, towards, share / 2), SEWN, part);
    this.put(point, SEWN, part);
  }

  private put({ x, y }: Point, how: number, part: string): void {
    this.x.push(x);
    this.y.push(y);
    this.how.push(how);
    const last = this.spans.at(-1);
    if (last && last.part === part && last.thread === this.thread) last.to = this.x.length;
    else this.spans.push({ part, thread: this.thread, from: this.x.length - 1, to: this.x.length });
  }
}

/** Points of a run, and the id of the part each belongs to. */
interface Kept {
  readonly points: Point[];
  readonly parts: string[];
}

/**
 * The points of a run without those that would make a stitch too short: of two that are too near, the one that thread
 * passes nearest by goes. The first and the last stay.
 */
function withoutShort(run: readonly Piece[], shortest: number): Kept {
  const least = Math.max(shortest - ROUNDING, ROUNDING);
  const all = run.length === 1 ? (run[0]?.points ?? []) : run.flatMap(({ points }) => points);
  const kept: Kept = { points: [], parts: [] };
  let k = 0;
  for (const { part, points } of run) {
    for (const own of points) {
      const last = kept.points.at(-1);
      if (!last || distance(last, own) >= least) {
        kept.points.push(own);
        kept.parts.push(part);
      } else if (k === all.length - 1) endWith(kept, own, part, least);
      else if (isBetter(kept.points.at(-2), last, own, all[k + 1], least)) {
        kept.points[kept.points.length - 1] = own;
        kept.parts[kept.parts.length - 1] = part;
      }
      k += 1;
    }
  }
  return kept;
}

/** Whether of two points too near the second should stay rather than the first. */
function isBetter(
  before: Point | undefined,
  first: Point,
  second: Point,
  after: Point | undefined,
  least: number,
): boolean {
  if (!before || !after || distance(before, second) < least) return false;
  return distanceToChord(first, before, second) < distanceToChord(second, first, after);
}

/** Ends with a point, in place of those too near to it. */
function endWith({ points, parts }: Kept, own: Point, part: string, least: number): void {
  while (points.length > 1 && distance(points.at(-1) ?? own, own) < least) {
    points.pop();
    parts.pop();
  }
  points.push(own);
  parts.push(part);
}

/** Whether the needle goes down at a place of a plan: a stitch ends or begins there. */
export function isPierced(how: Uint8Array, k: number): boolean {
  return how[k] === SEWN || how[k + 1] === SEWN;
}
