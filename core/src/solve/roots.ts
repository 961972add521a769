/** Where a number was found to be right, or as near as it came. */
export interface Found {
  /** The number. */
  readonly at: number;
  /** How far beyond what is asked for it then is. */
  readonly off: number;
}

/** What came of a search. */
export interface Search {
  /** Numbers at which what is asked for holds, upwards. */
  readonly roots: readonly Found[];
  /** The one that comes nearest where there is none; null where nothing could be measured. */
  readonly nearest: Found | null;
}

interface Asked {
  /** Where it is looked, both included. */
  readonly from: number;
  readonly to: number;
  /** Whether only whole numbers are. */
  readonly whole: boolean;
  /** How near is met. */
  readonly within: number;
  /** How far beyond what is asked for; null where that cannot be said. */
  measure: (at: number) => Promise<number | null>;
  /** Told how much is done, 0…1; a false answer ends the search. */
  onProgress: (share: number) => boolean;
}

/** Places at which it is measured before roots are bracketed. */
const PLACES = 48;
/** Halvings at most: each root is found to the last figure. */
const ROUNDS = 60;
/** A root is followed until it is this share of what would do away. */
const WELL_MET = 1e-3;
/** Roots nearer to each other than this share of where it is looked are one. */
const ONE_ROOT = 1e-7;

/**
 * Numbers at which a measured value is 0: it is measured at even places, and where it changes sign between two of them the
 * root is found by Brent's method (R. P. Brent, Algorithms for Minimization without Derivatives, 1973, chapter 4). A jump
 * across 0 is no root. Null where it was ended.
 */
export async function findRoots(asked: Asked): Promise<Search | null> {
  const { from, to, whole, within, measure, onProgress } = asked;
  const places = placesOf(from, to, whole);
  const measured: Found[] = [];
  for (const [k, at] of places.entries()) {
    const off = await measure(at);
    if (off !== null && Number.isFinite(off)) measured.push({ at, off });
    if (!onProgress((0.7 * (k + 1)) / places.length)) return null;
  }
  const exact = measured.filter(({ off }) => Math.abs(off) <= within);
  const brackets = whole ? [] : bracketsOf(measured, within);
  const found: Found[] = [];
  for (const [k, [low, high]] of brackets.entries()) {
    const root = await brent(low, high, within * WELL_MET, measure);
    if (root) found.push(root);
    if (!onProgress(0.7 + (0.3 * (k + 1)) / brackets.length)) return null;
  }
  const met = [...exact, ...found.filter(({ off }) => Math.abs(off) <= within)].sort((a, b) => a.at - b.at);
  const apart = (to - from) * ONE_ROOT;
  const roots = met.filter(({ at }, k) => k === 0 || at - (met[k - 1]?.at ?? -Infinity) > apart);
  return { roots, nearest: nearestOf([...measured, ...found]) };
}

function placesOf(from: number, to: number, whole: boolean): number[] {
  if (!whole) return Array.from({ length: PLACES + 1 }, (_, k) => from + ((to - from) * k) / PLACES);
  return Array.from({ length: Math.max(0, Math.floor(to) - Math.ceil(from) + 1) }, (_, k) => Math.ceil(from) + k);
}

function bracketsOf(measured: readonly Found[], within: number): [Found, Found][] {
  return measured.flatMap((high, k): [Found, Found][] => {
    const low = measured[k - 1];
    if (!low || Math.abs(low.off) <= within || Math.abs(high.off) <= within) return [];
    return low.off < 0 !== high.off < 0 ? [[low, high]] : [];
  });
}

function nearestOf(measured: readonly Found[]): Found | null {
  return measured.reduce<Found | null>(
    (best, one) => (best === null || Math.abs(one.off) < Math.abs(best.off) ? one : best),
    null,
  );
}

/** The root between two values of opposite signs: inverse quadratic steps or secants while they help, else halves. */
async function brent(low: Found, high: Found, enough: number, measure: Asked["measure"]): Promise<Found | null> {
  let [a, b] = Math.abs(low.off) < Math.abs(high.off) ? [high, low] : [low, high];
  let [c, d, wasHalved] = [a, b.at - a.at, true];
  for (let round = 0; round < ROUNDS && Math.abs(b.off) > enough; round++) {
    const least = 4 * Number.EPSILON * Math.abs(b.at);
    if (Math.abs(a.at - b.at) <= least) break;
    const middle = (a.at + b.at) / 2;
    const step = stepFrom(a, b, c);
    const quarter = (3 * a.at + b.at) / 4;
    const isBetween = step > Math.min(quarter, b.at) && step < Math.max(quarter, b.at);
    const before = wasHalved ? Math.abs(b.at - c.at) : Math.abs(d);
    const isHalved = !isBetween || Math.abs(step - b.at) >= before / 2 || before <= least;
    const at = isHalved ? middle : step;
    const off = await measure(at);
    if (off === null) return null;
    [d, c, wasHalved] = [b.at - c.at, b, isHalved];
    const next = { at, off };
    if (a.off < 0 !== off < 0) b = next;
    else a = next;
    if (Math.abs(a.off) < Math.abs(b.off)) [a, b] = [b, a];
  }
  return b;
}

function stepFrom(a: Found, b: Found, c: Found): number {
  if (a.off === c.off || b.off === c.off) return b.at - (b.off * (b.at - a.at)) / (b.off - a.off);
  const term = (p: Found, q: Found, r: Found) => (p.at * q.off * r.off) / ((p.off - q.off) * (p.off - r.off));
  return term(a, b, c) + term(b, a, c) + term(c, a, b);
}
