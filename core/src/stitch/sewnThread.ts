import { distanceToChord } from "../geometry/chordDistance";
import { between, distance, type Point } from "../geometry/point";
import type { StitchPlan, StitchSettings } from "./plan";

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

/** Stitches of one part in a row. */
export interface StitchSpan {
  /** The id of the part. */
  readonly part: string;
  /** Which thread, by its place among them. */
  readonly thread: number;
  /** The number of the first stitch. */
  readonly from: number;
  /** The number after the last. */
  readonly to: number;
}

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
    const points = withoutShort(this.run, this.settings.shortest);
    this.run = [];
    const [first, second] = points;
    const [last, before] = [points.at(-1), points.at(-2)];
    if (!first || !second || !last || !before) return;
    if (this.move === NEXT_THREAD) this.thread += 1;
    this.put(first.point, this.move, first.part);
    if (this.settings.tie) this.tie(first, second.point);
    points.forEach(({ point, part }, k) => {
      const from = points[k - 1]?.point;
      if (from) this.sewTo(from, point, part);
    });
    if (this.settings.tie) this.tie(last, before.point);
  }

  private sewTo(from: Point, to: Point, part: string): void {
    const pieces = Math.max(1, Math.ceil(distance(from, to) / this.settings.longest - 1e-9));
    for (let k = 1; k <= pieces; k++) this.put(k === pieces ? to : between(from, to, k / pieces), SEWN, part);
  }

  /** Three short stitches, away and back. */
  private tie({ point, part }: PlacedPoint, towards: Point): void {
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

interface PlacedPoint {
  readonly point: Point;
  readonly part: string;
}

/**
 * The points of a run without those that would make a stitch too short: of two that are too near, the one that thread
 * passes nearest by goes. The first and the last stay.
 */
function withoutShort(run: readonly Piece[], shortest: number): PlacedPoint[] {
  const least = Math.max(shortest - ROUNDING, ROUNDING);
  const all = run.flatMap(({ part, points }) => points.map((point): PlacedPoint => ({ point, part })));
  const kept: PlacedPoint[] = [];
  all.forEach((own, k) => {
    const last = kept.at(-1);
    if (!last || distance(last.point, own.point) >= least) {
      kept.push(own);
      return;
    }
    const [before, after] = [kept.at(-2), all[k + 1]];
    if (k === all.length - 1) endWith(kept, own, least);
    else if (before && after && distance(before.point, own.point) >= least) {
      const [withoutLast, withoutOwn] = [
        distanceToChord(last.point, before.point, own.point),
        distanceToChord(own.point, last.point, after.point),
      ];
      if (withoutLast < withoutOwn) kept[kept.length - 1] = own;
    }
  });
  return kept;
}

/** Ends with a point, in place of those too near to it. */
function endWith(kept: PlacedPoint[], own: PlacedPoint, least: number): void {
  while (kept.length > 1 && distance(kept.at(-1)?.point ?? own.point, own.point) < least) kept.pop();
  kept.push(own);
}
