/**
 * Blurs a layer of values with the given deviation in pixels: three box blurs, which come within 3 % of a Gaussian
 * (SVG 1.1, feGaussianBlur). What lies beyond the edge counts as 0.
 */
export function blurred(values: Float32Array, width: number, height: number, deviation: number): Float32Array {
  if (deviation < 0.3) return values;
  const coarse = Math.floor(deviation / FINE_ENOUGH);
  return coarse > 1
    ? blurredCoarsely(values, width, height, deviation, coarse)
    : boxBlurred(values, width, height, deviation);
}

/** Pixels of deviation at which a blurred layer can be told at every pixel of a coarser one. */
const FINE_ENOUGH = 4;

/** The same on a layer so many times coarser, brought back by mixing its neighbouring pixels. */
function blurredCoarsely(
  values: Float32Array,
  width: number,
  height: number,
  deviation: number,
  coarse: number,
): Float32Array {
  const [across, down] = [Math.ceil(width / coarse), Math.ceil(height / coarse)];
  const small = new Float32Array(across * down);
  for (let row = 0; row < height; row++) {
    const to = Math.floor(row / coarse) * across;
    for (let column = 0; column < width; column++) {
      const at = to + Math.floor(column / coarse);
      small[at] = (small[at] ?? 0) + (values[row * width + column] ?? 0) / (coarse * coarse);
    }
  }
  // Taking means over squares, and mixing them again, blur a little themselves.
  const own = Math.sqrt(Math.max(0.1, (deviation / coarse) ** 2 - 1 / 12 - 1 / 6));
  const soft = boxBlurred(small, across, down, own);
  const result = new Float32Array(width * height);
  for (let row = 0; row < height; row++) {
    const y = Math.max(0, (row + 0.5) / coarse - 0.5);
    const upper = Math.min(down - 1, Math.floor(y));
    const [above, below] = [upper * across, Math.min(down - 1, upper + 1) * across];
    const shareY = y - upper;
    for (let column = 0; column < width; column++) {
      const x = Math.max(0, (column + 0.5) / coarse - 0.5);
      const left = Math.min(across - 1, Math.floor(x));
      const right = Math.min(across - 1, left + 1);
      const shareX = x - left;
      const top = (soft[above + left] ?? 0) * (1 - shareX) + (soft[above + right] ?? 0) * shareX;
      const bottom = (soft[below + left] ?? 0) * (1 - shareX) + (soft[below + right] ?? 0) * shareX;
      result[row * width + column] = top * (1 - shareY) + bottom * shareY;
    }
  }
  return result;
}

function boxBlurred(values: Float32Array, width: number, height: number, deviation: number): Float32Array {
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
