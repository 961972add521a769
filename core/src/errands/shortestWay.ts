import { spend } from "../geometry/effort";
import type { Point } from "../geometry/point";
import { randomFrom } from "../geometry/random";
import type { Errand, Visit } from "./errand";
import { nearestFirst } from "./nearestFirst";
import { NEIGHBOURS, neighboursOf } from "./neighbours";

/** Heard now and then while a way is sought: the share done, 0…1; false ends the search with the best way so far. */
export type Listener = (share: number) => boolean;

/** Errands moved elsewhere together. */
const MOST_MOVED = 3;
/** Two neighbouring stretches of at most so many errands are exchanged to see whether a shorter way can be found from there. */
const LONGEST_EXCHANGED = 30;
/** So often for each errand, and at most so often. */
const EXCHANGES = 2;
const MOST_EXCHANGES = 24_000;
/** Errands looked at between two calls of the listener. */
const HEARD_EVERY = 64;
/** What an errand takes to be done at the best time. */
const SECONDS_AN_ERRAND = 0.4e-3;
/** A gain less than this is rounding, millimetres. */
const GAIN = 1e-7;

/**
 * A short way through all errands from a starting place: to the nearest one each time, then made shorter by turning
 * stretches round (2-opt) and by moving up to three errands elsewhere (Or-opt), until neither helps; then stretches are
 * exchanged here and there and made shorter again, and what is not shorter is taken back. The same errands give the same way.
 */
export function shortestWay(errands: readonly Errand[], start: Point, listen: Listener = () => true): Visit[] {
  if (errands.length === 0) return [];
  spend(errands.length * SECONDS_AN_ERRAND);
  const way = new Way(errands, start, nearestFirst(errands, start));
  way.improve(listen);
  return way.visits();
}

/** A way that is made shorter; in flat numbers, since 10,000 errands are looked at over and over. */
class Way {
  private readonly count: number;
  private readonly order: Int32Array;
  private readonly place: Int32Array;
  private readonly turned: Uint8Array;
  /** For each errand x and y of its beginning, then of its end. */
  private readonly ends: Float64Array;
  private readonly reversible: Uint8Array;
  private readonly near: Int32Array;
  /** How far each neighbour is. */
  private readonly away: Float64Array;
  /** The way that is fallen back on. */
  private readonly kept: Int32Array;
  private readonly keptTurned: Uint8Array;
  /** Errands that are to be looked at. */
  private readonly open: number[] = [];
  private readonly isOpen: Uint8Array;
  /** The places between which the way is another than the one kept, and how much shorter. */
  private low = 0;
  private high = -1;
  private gained = 0;
  /** Places up to which errands that cannot be turned have been counted: a stretch without any may be turned. */
  private readonly fixed: Int32Array;

  constructor(
    errands: readonly Errand[],
    private readonly start: Point,
    visits: readonly Visit[],
  ) {
    this.count = errands.length;
    this.order = Int32Array.from(visits, ({ errand }) => errand);
    this.place = new Int32Array(this.count);
    this.turned = new Uint8Array(this.count);
    this.ends = Float64Array.from(errands.flatMap(({ from, to }) => [from.x, from.y, to.x, to.y]));
    this.reversible = Uint8Array.from(errands, ({ reversible, from, to }) =>
      reversible || (from.x === to.x && from.y === to.y) ? 1 : 0,
    );
    for (const { errand, backwards } of visits) this.turned[errand] = backwards ? 1 : 0;
    const { near, away } = neighboursOf(errands);
    this.near = near;
    this.away = away;
    this.kept = new Int32Array(this.count);
    this.keptTurned = new Uint8Array(this.count);
    this.isOpen = new Uint8Array(this.count);
    this.high = this.count - 1;
    this.fixed = new Int32Array(this.count + 1);
    this.renumber(0, this.count - 1);
    this.countFixed();
  }

  visits(): Visit[] {
    return Array.from(this.order, (errand) => ({ errand, backwards: this.turned[errand] === 1 }));
  }

  improve(listen: Listener): void {
    for (const errand of this.order) this.look(errand);
    const half = (share: number) => listen(share / 2);
    if (!this.settle(half)) return;
    this.keep();
    const random = randomFrom(this.count);
    const times = this.count < 8 ? 0 : Math.min(MOST_EXCHANGES, EXCHANGES * this.count);
    for (let time = 0; time < times; time++) {
      if (time % HEARD_EVERY === 0 && !listen((1 + time / times) / 2)) break;
      const lost = this.exchange(random);
      this.settle(() => true);
      if (this.gained > lost + GAIN) this.keep();
      else this.takeBack();
    }
    listen(1);
  }

  /** Looks at all that may be done better, until nothing is; false when it was ended. */
  private settle(listen: Listener): boolean {
    let looked = 0;
    for (let errand = this.open.pop(); errand !== undefined; errand = this.open.pop()) {
      if (++looked % HEARD_EVERY === 0 && !listen(1 - this.open.length / this.count)) return false;
      this.isOpen[errand] = 0;
      while (this.improveAt(errand) > GAIN);
    }
    return true;
  }

  private look(errand: number): void {
    if (this.isOpen[errand] === 1) return;
    this.isOpen[errand] = 1;
    this.open.push(errand);
  }

  /** Notes that the way is another from one place to another, and that it may be made shorter at both. */
  private changed(first: number, last: number, gain: number): void {
    this.gained += gain;
    this.low = Math.min(this.low, first);
    this.high = Math.max(this.high, last);
    for (const place of [first - 1, first, last, last + 1]) {
      const errand = this.order[place];
      if (errand !== undefined) this.look(errand);
    }
  }

  private keep(): void {
    this.kept.set(this.order.subarray(this.low, this.high + 1), this.low);
    for (let place = this.low; place <= this.high; place++) {
      const errand = this.order[place] ?? 0;
      this.keptTurned[errand] = this.turned[errand] ?? 0;
    }
    this.begin();
  }

  private takeBack(): void {
    for (let place = this.low; place <= this.high; place++) {
      const errand = this.kept[place] ?? 0;
      this.put(place, errand, this.keptTurned[errand] === 1);
    }
    if (this.fixed[this.count] !== 0) this.countFixed();
    this.begin();
  }

  private begin(): void {
    [this.low, this.high, this.gained] = [this.count, -1, 0];
  }

  /** Exchanges two stretches that follow one another; answers how much longer the way is. */
  private exchange(random: () => number): number {
    const whole = (most: number) => Math.floor(random() * most);
    const first = whole(this.count - 3);
    const middle = first + 1 + whole(Math.min(LONGEST_EXCHANGED, this.count - first - 2));
    const last = middle + whole(Math.min(LONGEST_EXCHANGED, this.count - middle));
    const before = this.step(first - 1, first) + this.step(middle - 1, middle) + this.step(last, last + 1);
    const moved = this.order.slice(first, middle);
    this.order.copyWithin(first, middle, last + 1);
    const joint = first + last - middle + 1;
    this.order.set(moved, joint);
    this.renumber(first, last);
    if (this.fixed[this.count] !== 0) this.countFixed();
    this.changed(first, last, 0);
    for (const place of [joint - 1, joint]) this.look(this.order[place] ?? 0);
    return this.step(first - 1, first) + this.step(joint - 1, joint) + this.step(last, last + 1) - before;
  }

  private improveAt(errand: number): number {
    let gained = 0;
    for (let k = errand * NEIGHBOURS; k < (errand + 1) * NEIGHBOURS; k++) {
      const other = this.near[k] ?? -1;
      if (other < 0) break;
      const at = this.place[errand] ?? 0;
      // Nothing is won by going to one that is further than those before and after.
      if ((this.away[k] ?? 0) >= Math.max(this.step(at - 1, at), this.step(at, at + 1))) break;
      const to = this.place[other] ?? 0;
      const low = Math.min(at, to);
      const high = Math.max(at, to);
      gained += this.turn(low + 1, high) + this.turn(low, high - 1) + this.turn(low, high);
      for (let many = 1; many <= MOST_MOVED; many++) gained += this.moveNear(errand, other, many);
    }
    return gained;
  }

  /** Moves errands that begin or end with one to before or after another. */
  private moveNear(errand: number, other: number, many: number): number {
    const at = () => this.place[errand] ?? 0;
    const to = () => this.place[other] ?? 0;
    return (
      this.move(at(), many, to()) +
      this.move(at() - many + 1, many, to()) +
      this.move(at(), many, to() - 1) +
      this.move(at() - many + 1, many, to() - 1)
    );
  }

  /** Turns a stretch round where that is shorter; answers by how much. */
  private turn(first: number, last: number): number {
    if (first > last || first < 0 || last >= this.count) return 0;
    if ((this.fixed[last + 1] ?? 0) > (this.fixed[first] ?? 0)) return 0;
    const gain =
      this.step(first - 1, first) +
      this.step(last, last + 1) -
      this.between(first - 1, last, false) -
      this.after(first, last + 1);
    if (gain <= GAIN) return 0;
    for (let i = first, j = last; i <= j; i++, j--) {
      const a = this.order[i] ?? 0;
      const b = this.order[j] ?? 0;
      this.put(i, b, !this.isTurned(b));
      if (i !== j) this.put(j, a, !this.isTurned(a));
    }
    this.changed(first, last, gain);
    return gain;
  }

  /** Moves a few errands to just after another, turned round if need be; answers how much shorter the way is. */
  private move(first: number, many: number, after: number): number {
    const last = first + many - 1;
    if (first < 0 || last >= this.count || after < -1 || (after >= first - 1 && after <= last)) return 0;
    const taken = this.step(first - 1, first) + this.step(last, last + 1) - this.step(first - 1, last + 1);
    if (taken <= GAIN) return 0;
    const broken = this.step(after, after + 1);
    const straight = this.step(after, first) + this.step(last, after + 1) - broken;
    const mayTurn = (this.fixed[last + 1] ?? 0) === (this.fixed[first] ?? 0);
    const round = mayTurn ? this.between(after, last, false) + this.after(first, after + 1) - broken : Infinity;
    const gain = taken - Math.min(straight, round);
    if (gain <= GAIN) return 0;
    const moved = this.order.slice(first, last + 1);
    if (round < straight) {
      moved.reverse();
      for (const errand of moved) this.turned[errand] = this.isTurned(errand) ? 0 : 1;
    }
    if (after < first) {
      this.order.copyWithin(after + 1 + many, after + 1, first);
      this.order.set(moved, after + 1);
      this.renumber(after + 1, last);
      this.changed(after + 1, last, gain);
      this.look(this.order[after + many] ?? 0);
      this.look(this.order[after + many + 1] ?? 0);
    } else {
      this.order.copyWithin(first, last + 1, after + 1);
      this.order.set(moved, after + 1 - many);
      this.renumber(first, after);
      this.changed(first, after, gain);
      this.look(this.order[after - many] ?? 0);
      this.look(this.order[after - many + 1] ?? 0);
    }
    if (this.fixed[this.count] !== 0) this.countFixed();
    return gain;
  }

  private put(place: number, errand: number, turned: boolean): void {
    this.order[place] = errand;
    this.place[errand] = place;
    this.turned[errand] = turned ? 1 : 0;
  }

  private renumber(first: number, last: number): void {
    for (let place = first; place <= last; place++) this.place[this.order[place] ?? 0] = place;
  }

  private countFixed(): void {
    for (let place = 0; place < this.count; place++) {
      this.fixed[place + 1] = (this.fixed[place] ?? 0) + (this.reversible[this.order[place] ?? 0] === 1 ? 0 : 1);
    }
  }

  private isTurned(errand: number): boolean {
    return this.turned[errand] === 1;
  }

  /** The way from the end of the errand at one place to the beginning of that at another; none beyond the last. */
  private step(from: number, to: number): number {
    if (to >= this.count) return 0;
    return this.between(from, to, true);
  }

  /** The same, but the second begun at its beginning as it now is, or at its end. */
  private between(from: number, to: number, atBeginning: boolean): number {
    const b = this.order[to] ?? 0;
    const begin = 4 * b + (this.isTurned(b) === atBeginning ? 2 : 0);
    if (from < 0) return this.far(this.start.x, this.start.y, begin);
    const a = this.order[from] ?? 0;
    const end = 4 * a + (this.isTurned(a) ? 0 : 2);
    return this.far(this.ends[end] ?? 0, this.ends[end + 1] ?? 0, begin);
  }

  /** The way from the beginning of one, which becomes its end, to the beginning of another; none beyond the last. */
  private after(turned: number, to: number): number {
    if (to >= this.count) return 0;
    const a = this.order[turned] ?? 0;
    const b = this.order[to] ?? 0;
    const end = 4 * a + (this.isTurned(a) ? 2 : 0);
    return this.far(this.ends[end] ?? 0, this.ends[end + 1] ?? 0, 4 * b + (this.isTurned(b) ? 2 : 0));
  }

  private far(x: number, y: number, end: number): number {
    const dx = (this.ends[end] ?? 0) - x;
    const dy = (this.ends[end + 1] ?? 0) - y;
    return Math.sqrt(dx * dx + dy * dy);
  }
}
