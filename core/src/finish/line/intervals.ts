/** A stretch of a line that is drawn, millimetres along it. */
export interface Interval {
  /** Where it begins, millimetres along the line. */
  readonly from: number;
  /** Where it ends, millimetres along the line. */
  readonly to: number;
}

/** What is drawn of a line: all of it, or its dashes; a dash begins where the line does. */
export function dashesOf(length: number, dash: readonly number[]): Interval[] {
  const period = dash.reduce((sum, part) => sum + part, 0);
  if (period <= 0 || !Number.isFinite(length)) return [{ from: 0, to: length }];
  // An odd list is said twice, as SVG has it.
  const parts = dash.length % 2 === 1 ? [...dash, ...dash] : dash;
  const intervals: Interval[] = [];
  let at = 0;
  for (let k = 0; at < length && intervals.length < MOST_INTERVALS; k++) {
    const part = parts[k % parts.length] ?? 0;
    if (k % 2 === 0) intervals.push({ from: at, to: Math.min(length, at + part) });
    at += part;
  }
  return intervals;
}

/** A stretch cut into pieces so short that a colour hardly changes within one. */
export function shadesOf({ from, to }: Interval, length: number): Interval[] {
  const count = Math.max(1, Math.ceil(((to - from) / Math.max(length, 1e-9)) * SHADES));
  return Array.from({ length: count }, (_, k) => ({
    from: from + ((to - from) * k) / count,
    to: from + ((to - from) * (k + 1)) / count,
  }));
}

const SHADES = 96;
/** Dashes and dots one line may have. */
const MOST_INTERVALS = 5_000;

/**
 * Middles of dots along a line, their gaps as near to the one asked for as a whole number of dots allows. The first
 * stands at the start; on a closed line the last leaves a gap before it, on an open one it stands at the end.
 */
export function dotsAlong(
  length: number,
  closed: boolean,
  gap: number,
  widthAt: (length: number) => number,
): readonly number[] {
  if (length <= 0) return [];
  const middles = [0];
  // Each dot as far from the one before as their halves and the gap need; the step is found by going twice.
  while (middles.length < MOST_INTERVALS) {
    const last = middles.at(-1) ?? 0;
    const stepTo = (next: number) => gap + (widthAt(last) + widthAt(Math.min(length, next))) / 2;
    const step = Math.max(LEAST_STEP, stepTo(last + stepTo(last)));
    if (last + step > length) {
      return spread(middles, step, length, closed);
    }
    middles.push(last + step);
  }
  return middles;
}

const LEAST_STEP = 0.02;

/** Stretches or shrinks the steps a little so that they come out even at the end. */
function spread(middles: readonly number[], step: number, length: number, closed: boolean): number[] {
  const last = middles.at(-1) ?? 0;
  const next = last + step;
  // One more dot where that changes the steps less.
  const more = next - length < length - last;
  const whole = closed ? (more ? [...middles] : middles.slice(0, -1)) : more ? [...middles, next] : [...middles];
  const reach = closed ? (more ? next : last) : (whole.at(-1) ?? 0);
  if (reach <= 0 || whole.length === 0) return [0];
  return whole.map((middle) => (middle * length) / reach);
}
