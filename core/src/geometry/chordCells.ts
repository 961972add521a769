/** Numbers a chord: x and y of where it begins and where it ends. */
export const STRIDE = 4;
/** Cells on each side of the grid, at the least and at most. */
const SIDES = { least: 8, most: 256 };
/** The square of the sine below which two directions are one. */
const ALONG = 1e-6;
/** What is nearer than this share of the whole runs along within a hair of each other; than this share of it, on each other. */
const HAIR = 2e-4;
const EXACT = 1e-4;
/** The share of a chord that it must have in common with another. */
const SHARED = 0.05;
/** How often what runs along within a hair crosses, once both are laid on the grid: seen over discs in almost one place. */
const CROSSINGS_ALONG = 30;

/** A grid over chords that knows which of them pass through each cell. */
export class ChordCells {
  /** How many cells there are. */
  readonly count: number;
  private readonly side: number;
  private readonly hair: number;
  private readonly left: number;
  private readonly top: number;
  private readonly across: number;
  private readonly down: number;
  /** For each cell where its chords begin in the list; the list's length at the end. */
  private readonly starts: Uint32Array;
  private readonly list: Uint32Array;

  constructor(private readonly chords: Float64Array) {
    const chordCount = chords.length / STRIDE;
    this.side = Math.min(SIDES.most, Math.max(SIDES.least, Math.ceil(Math.sqrt(chordCount) / 2)));
    this.count = this.side ** 2;
    const [left, right] = rangeOf(chords, 0);
    const [top, bottom] = rangeOf(chords, 1);
    this.left = left;
    this.top = top;
    this.across = Math.max(1e-9, (right - left) / this.side);
    this.down = Math.max(1e-9, (bottom - top) / this.side);
    this.hair = HAIR * Math.max(right - left, bottom - top);
    const ends = new Uint32Array(this.count + 1);
    for (let chord = 0; chord < chordCount; chord++) this.pass(chord, (cell) => count(ends, cell));
    for (let cell = 1; cell <= this.count; cell++) ends[cell] = (ends[cell] ?? 0) + (ends[cell - 1] ?? 0);
    this.list = new Uint32Array(ends[this.count] ?? 0);
    // Filled from the end of each cell's stretch: what remains are the beginnings.
    for (let chord = 0; chord < chordCount; chord++) {
      this.pass(chord, (cell) => {
        const place = (ends[cell] ?? 0) - 1;
        ends[cell] = place;
        this.list[place] = chord;
      });
    }
    this.starts = ends;
  }

  /** The chords that pass through a cell. */
  within(cell: number): Uint32Array {
    return this.list.subarray(this.starts[cell], this.starts[cell + 1]);
  }

  /**
   * How often two chords cross within a cell: once, or as often as what runs along within a hair of each other, where they share a
   * stretch with its middle in that cell.
   */
  crossings(one: number, two: number, cell: number): number {
    const { chords } = this;
    const [a, b] = [one * STRIDE, two * STRIDE];
    const x = chords[a] ?? 0;
    const y = chords[a + 1] ?? 0;
    const dx = (chords[a + 2] ?? 0) - x;
    const dy = (chords[a + 3] ?? 0) - y;
    const wide = (chords[b] ?? 0) - x;
    const high = (chords[b + 1] ?? 0) - y;
    const du = (chords[b + 2] ?? 0) - x - wide;
    const dv = (chords[b + 3] ?? 0) - y - high;
    const turn = dx * dv - dy * du;
    const squared = dx * dx + dy * dy;
    if (turn * turn <= ALONG * squared * (du * du + dv * dv)) {
      const beside = (dx * high - dy * wide) / Math.sqrt(squared);
      if (squared === 0 || Math.abs(beside) > this.hair) return 0;
      const from = (wide * dx + high * dy) / squared;
      const to = from + (du * dx + dv * dy) / squared;
      const [low, top] = [Math.max(0, Math.min(from, to)), Math.min(1, Math.max(from, to))];
      if (top - low < SHARED || !this.isIn(cell, x + ((low + top) / 2) * dx, y + ((low + top) / 2) * dy)) return 0;
      // What lies on each other exactly is one line from then on.
      return Math.abs(beside) < this.hair * EXACT ? 1 : CROSSINGS_ALONG;
    }
    const s = (wide * dv - high * du) / turn;
    const t = (wide * dy - high * dx) / turn;
    return s > 0 && s < 1 && t > 0 && t < 1 && this.isIn(cell, x + s * dx, y + s * dy) ? 1 : 0;
  }

  private isIn(cell: number, x: number, y: number): boolean {
    return this.row(y) * this.side + this.column(x) === cell;
  }

  /** Where a chord begins, and how far and whither it goes. */
  private chord(chord: number): readonly [number, number, number, number] {
    const at = chord * STRIDE;
    const [x, y] = [this.chords[at] ?? 0, this.chords[at + 1] ?? 0];
    return [x, y, (this.chords[at + 2] ?? 0) - x, (this.chords[at + 3] ?? 0) - y];
  }

  /** Calls for every cell a chord passes through, column by column. */
  private pass(chord: number, visit: (cell: number) => void): void {
    const [x, y, dx, dy] = this.chord(chord);
    const [low, high] = [Math.min(x, x + dx), Math.max(x, x + dx)];
    const [from, to] = [this.column(low), this.column(high)];
    for (let column = from; column <= to; column++) {
      const enter = column === from ? low : this.left + column * this.across;
      const leave = column === to ? high : this.left + (column + 1) * this.across;
      const upright = dx === 0 || from === to;
      const one = this.row(upright ? y : y + ((enter - x) * dy) / dx);
      const two = this.row(upright ? y + dy : y + ((leave - x) * dy) / dx);
      for (let row = Math.min(one, two); row <= Math.max(one, two); row++) visit(row * this.side + column);
    }
  }

  private column(x: number): number {
    return Math.min(this.side - 1, Math.max(0, Math.floor((x - this.left) / this.across)));
  }

  private row(y: number): number {
    return Math.min(this.side - 1, Math.max(0, Math.floor((y - this.top) / this.down)));
  }
}

function count(ends: Uint32Array, cell: number): void {
  ends[cell] = (ends[cell] ?? 0) + 1;
}

/** The least and the greatest of every second number. */
function rangeOf(chords: Float64Array, first: 0 | 1): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (let at = first; at < chords.length; at += 2) {
    const value = chords[at] ?? 0;
    low = Math.min(low, value);
    high = Math.max(high, value);
  }
  return [low, high];
}
