/** Intervals of the length table; Simpson's rule on them is exact to about 1e-10 of the length. */
const INTERVALS = 1440;

/**
 * A function from a share (0…1) of a curve's length to the parameter there. `speed` is the length a unit of
 * parameter, from one parameter to another; Newton steps measure from the table's marks by Simpson's rule.
 */
export function evenlyAlong(speed: (t: number) => number, from: number, to: number): (share: number) => number {
  const step = (to - from) / INTERVALS;
  const simpson = (a: number, b: number) => ((speed(a) + 4 * speed((a + b) / 2) + speed(b)) * (b - a)) / 6;
  const lengths = new Float64Array(INTERVALS + 1);
  for (let k = 0; k < INTERVALS; k++) {
    const t = from + k * step;
    lengths[k + 1] = (lengths[k] ?? 0) + simpson(t, t + step);
  }
  const total = lengths[INTERVALS] ?? 0;
  return (share) => {
    const wanted = share * total;
    const k = intervalOf(lengths, wanted);
    const before = lengths[k] ?? 0;
    const mark = from + k * step;
    let t = mark;
    for (let round = 0; round < 4; round++) t += (wanted - before - simpson(mark, t)) / speed(t);
    return t;
  };
}

function intervalOf(lengths: Float64Array, wanted: number): number {
  const sign = (lengths[lengths.length - 1] ?? 0) < 0 ? -1 : 1;
  let low = 0;
  let high = lengths.length - 2;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((lengths[middle] ?? 0) * sign <= wanted * sign) low = middle;
    else high = middle - 1;
  }
  return low;
}
