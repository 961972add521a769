const WORD = 2 ** 32;

/** Whole numbers as the geometry engine takes them, written in halves: much faster than by way of bigints. */
export function wholeNumbers(values: readonly number[]): BigInt64Array<ArrayBuffer> {
  const whole = new BigInt64Array(values.length);
  const halves = new Int32Array(whole.buffer);
  values.forEach((value, at) => {
    halves[2 * at] = value;
    halves[2 * at + 1] = Math.floor(value / WORD);
  });
  return whole;
}

/** The same numbers back. They must be within 2⁵³. */
export function numbersOf(whole: BigInt64Array): Float64Array {
  const halves = new Int32Array(whole.buffer, whole.byteOffset, 2 * whole.length);
  const values = new Float64Array(whole.length);
  for (let at = 0; at < values.length; at++) {
    values[at] = ((halves[2 * at] ?? 0) >>> 0) + (halves[2 * at + 1] ?? 0) * WORD;
  }
  return values;
}
