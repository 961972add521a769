import { distance, type Point } from "../geometry/point";
import type { Passages } from "./passages";

/** Pieces that are still to be sewn, by the places where they begin, in the order of the rules. */
export class Waiting {
  /** For each known point the pieces that begin near it, the first of them last. */
  private readonly byPoint = new Map<number, number[]>();
  private readonly isSewn: Uint8Array;
  private first = 0;
  private left: number;

  constructor(
    private readonly starts: readonly Point[],
    private readonly passages: Passages,
    private readonly travel: number,
  ) {
    this.isSewn = new Uint8Array(starts.length);
    this.left = starts.length;
    for (let piece = starts.length - 1; piece >= 0; piece--) {
      const start = starts[piece];
      const point = start ? passages.nearest(start) : -1;
      const known = this.byPoint.get(point);
      if (known) known.push(piece);
      else this.byPoint.set(point, [piece]);
    }
  }

  /** The piece that is sewn next from a place, null for the first one of all: that of the rules where it begins near, else one that does. */
  take(from: Point | null): number {
    const start = this.starts[this.first];
    const isNear = !from || !start || distance(from, start) <= this.travel || this.left < 2;
    const next = isNear ? this.first : this.passages.nextOf(from, this.first, (point) => this.firstAt(point));
    this.isSewn[next] = 1;
    this.left--;
    while (this.isSewn[this.first] === 1) this.first++;
    return next;
  }

  /** The first piece that begins at a known point; undefined for none. */
  private firstAt(point: number): number | undefined {
    const pieces = this.byPoint.get(point);
    while (pieces && this.isSewn[pieces.at(-1) ?? 0] === 1 && pieces.length > 0) pieces.pop();
    return pieces?.at(-1);
  }
}
