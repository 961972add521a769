/**
 * Blurs a layer of values with the given deviation in pixels: three box blurs, which come within 3 % of a Gaussian
 * (SVG 1.1, feGaussianBlur). What lies beyond the edge counts as 0.
 */
export function blurred(values: Float32Array, width: number, height: number, deviation: number): Float32Array {
  if (deviation < 0.3) return values;
  const from = Float32Array.from(values);
  const between = new Float32Array(values.length);
  for (const box of boxesFor(deviation)) {
    sweep(from, between, width, height, 1, width, box);
    sweep(between, from, height, width, width, 1, box);
  }
  return from;
}

/** Odd box widths whose blurs together have a deviation. */
function boxesFor(deviation: number): number[] {
  const ideal = Math.sqrt((12 * deviation * deviation) / 3 + 1);
  const low = Math.floor(ideal) % 2 === 0 ? Math.floor(ideal) - 1 : Math.floor(ideal);
  const lows = Math.round((12 * deviation * deviation - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  return [0, 1, 2].map((round) => (round < lows ? low : low + 2));
}

/** A running mean along every line of the layer. */
function sweep(
  from: Float32Array,
  to: Float32Array,
  length: number,
  lines: number,
  along: number,
  across: number,
  box: number,
): void {
  const half = (box - 1) / 2;
  for (let line = 0; line < lines; line++) {
    const start = line * across;
    let sum = 0;
    for (let k = 0; k < Math.min(half, length); k++) sum += from[start + k * along] ?? 0;
    for (let k = 0; k < length; k++) {
      if (k + half < length) sum += from[start + (k + half) * along] ?? 0;
      if (k - half - 1 >= 0) sum -= from[start + (k - half - 1) * along] ?? 0;
      to[start + k * along] = sum / box;
    }
  }
}
