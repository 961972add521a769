import { distanceToChord } from "../chordDistance";
import { chordsNeeded } from "../flatten";
import { heightsWithin } from "../heightsWithin";
import { isStraight, pointAt } from "../cubic";
import { segmentsOf, type Path } from "../path";
import { SquareLists } from "../squareLists";
import type { Chord } from "../winding";
import { ON_CHORD } from "./chordIndex";
import { CELLS_PER_MILLIMETRE } from "./facets";
import { FLATTENED_WITHIN } from "./tolerance";

/** Chords nearer to each other than this meet, millimetres. */
const REACH = ON_CHORD / CELLS_PER_MILLIMETRE;
/** Squares are about so many chords wide. */
const SQUARE = 1.5;

/** The chords of runs at the standard size, in flat arrays, and whether any two of them meet. */
export class MeetingChords {
  /** Whether every run is closed and has an inside. */
  readonly areWhole: boolean;
  /** Where each chord begins, x and y; a run's first corner stands again behind its last. */
  private readonly corners: Float64Array;
  /** For each run its first corner, and behind them all the number of corners. */
  private readonly firsts: readonly number[];

  constructor(path: Path) {
    const corners: number[] = [];
    const firsts = [0];
    for (const run of path) {
      const first = corners.length;
      for (const segment of segmentsOf(run)) {
        const chords = isStraight(segment) ? 1 : chordsNeeded(segment, FLATTENED_WITHIN);
        for (let k = 0; k < chords; k++) {
          const { x, y } = k === 0 ? segment[0] : pointAt(segment, k / chords);
          if (corners.length === first || !isAt(corners, x, y)) corners.push(x, y);
        }
      }
      const [x = 0, y = 0] = corners.slice(first, first + 2);
      if (corners.length > first + 2 && isAt(corners, x, y)) corners.length -= 2;
      corners.push(x, y);
      firsts.push(corners.length / 2);
    }
    this.corners = Float64Array.from(corners);
    this.firsts = firsts;
    this.areWhole = path.every(
      ({ closed, coordinates }, run) => closed && endsWhereItBegan(coordinates) && this.countOf(run) > 2,
    );
  }

  /** Whether a run goes clockwise on the sheet, by twice its area. */
  isClockwise(run: number): boolean {
    const { corners } = this;
    const [first, end] = this.stretchOf(run);
    const [x, y] = [corners[first] ?? 0, corners[first + 1] ?? 0];
    let area = 0;
    for (let at = first; at < end; at += 2) {
      const [px, py] = [(corners[at] ?? 0) - x, (corners[at + 1] ?? 0) - y];
      area += px * ((corners[at + 3] ?? 0) - y) - py * ((corners[at + 2] ?? 0) - x);
    }
    return area > 0;
  }

  /** Whether a run that meets no other goes round the beginning of another. */
  holds(run: number, inner: number): boolean {
    const { corners } = this;
    const [start] = this.stretchOf(inner);
    const [x, y] = [corners[start] ?? 0, corners[start + 1] ?? 0];
    const [first, end] = this.stretchOf(run);
    let isInside = false;
    for (let at = first; at < end; at += 2) {
      const [py, qy] = [corners[at + 1] ?? 0, corners[at + 3] ?? 0];
      if (py <= y === qy <= y) continue;
      const [px, qx] = [corners[at] ?? 0, corners[at + 2] ?? 0];
      if (px + ((y - py) / (qy - py)) * (qx - px) > x) isInside = !isInside;
    }
    return isInside;
  }

  /** Whether any chord comes near another that is not its neighbour, or folds back onto its neighbour. */
  meetSomewhere(): boolean {
    const squares = new SquareLists();
    const side = this.side();
    for (let run = 0; run + 1 < this.firsts.length; run++) {
      const [first, last] = [this.firsts[run] ?? 0, (this.firsts[run + 1] ?? 0) - 2];
      for (let chord = first; chord <= last; chord++) {
        if (this.folds(chord, chord === last ? first : chord + 1)) return true;
        if (this.meetsEarlier(chord, chord === last ? first : chord - 1, squares, side)) return true;
      }
    }
    return false;
  }

  /** Where the numbers of a run's corners begin, and those of its last corner. */
  private stretchOf(run: number): [first: number, last: number] {
    return [2 * (this.firsts[run] ?? 0), 2 * (this.firsts[run + 1] ?? 0) - 2];
  }

  private countOf(run: number): number {
    return (this.firsts[run + 1] ?? 0) - (this.firsts[run] ?? 0) - 1;
  }

  private side(): number {
    const { corners } = this;
    let total = 0;
    for (let at = 0; at + 3 < corners.length; at += 2) {
      total +=
        Math.abs((corners[at + 2] ?? 0) - (corners[at] ?? 0)) +
        Math.abs((corners[at + 3] ?? 0) - (corners[at + 1] ?? 0));
    }
    return Math.max(REACH, (SQUARE * total) / (corners.length / 2));
  }

  /** Whether a chord meets one of those looked at before, its neighbours apart (the one before it, and a last one's first). */
  private meetsEarlier(chord: number, neighbour: number, squares: SquareLists, side: number): boolean {
    const { corners } = this;
    const at = 2 * chord;
    const [ax, ay, bx, by] = [corners[at] ?? 0, corners[at + 1] ?? 0, corners[at + 2] ?? 0, corners[at + 3] ?? 0];
    const left = Math.floor((Math.min(ax, bx) - REACH) / side);
    const right = Math.floor((Math.max(ax, bx) + REACH) / side);
    let [low, high] = [Math.min(ay, by), Math.max(ay, by)];
    for (let column = left; column <= right; column++) {
      if (right > left + 1) {
        [low, high] = heightsWithin(ax, ay, bx, by, column * side - REACH, (column + 1) * side + REACH);
      }
      const last = Math.floor((high + REACH) / side);
      for (let row = Math.floor((low - REACH) / side); row <= last; row++) {
        for (let entry = squares.first(column, row); entry >= 0; entry = squares.next(entry)) {
          const other = squares.valueOf(entry);
          if (other === neighbour || other === chord - 1 || other === chord) continue;
          if (this.boxesMeet(at, 2 * other) && areNear(this.chord(chord), this.chord(other))) return true;
        }
        squares.add(column, row, chord);
      }
    }
    return false;
  }

  private boxesMeet(p: number, q: number): boolean {
    return this.reachEachOther(p, q) && this.reachEachOther(p + 1, q + 1);
  }

  private reachEachOther(p: number, q: number): boolean {
    const { corners } = this;
    const [p0, p1, q0, q1] = [corners[p] ?? 0, corners[p + 2] ?? 0, corners[q] ?? 0, corners[q + 2] ?? 0];
    return Math.max(p0, p1) + REACH >= Math.min(q0, q1) && Math.max(q0, q1) + REACH >= Math.min(p0, p1);
  }

  /** Whether a chord turns back on the one before it so far that their other ends come near. */
  private folds(before: number, after: number): boolean {
    const { corners } = this;
    const [p, q] = [2 * before, 2 * after];
    const [dx, dy] = [(corners[p + 2] ?? 0) - (corners[p] ?? 0), (corners[p + 3] ?? 0) - (corners[p + 1] ?? 0)];
    const [ex, ey] = [(corners[q + 2] ?? 0) - (corners[q] ?? 0), (corners[q + 3] ?? 0) - (corners[q + 1] ?? 0)];
    if (dx * ex + dy * ey >= 0) return false;
    const [a, b] = [this.chord(before), this.chord(after)];
    return distanceToChord(a[0], ...b) <= REACH || distanceToChord(b[1], ...a) <= REACH;
  }

  private chord(number: number): Chord {
    const { corners } = this;
    const at = 2 * number;
    return [
      { x: corners[at] ?? 0, y: corners[at + 1] ?? 0 },
      { x: corners[at + 2] ?? 0, y: corners[at + 3] ?? 0 },
    ];
  }
}

/** Whether the corner that was put down last is at a place. */
function isAt(corners: readonly number[], x: number, y: number): boolean {
  const [lastX, lastY] = [corners[corners.length - 2] ?? 0, corners[corners.length - 1] ?? 0];
  return Math.abs(lastX - x) <= REACH / 100 && Math.abs(lastY - y) <= REACH / 100;
}

function endsWhereItBegan(coordinates: readonly number[]): boolean {
  const [x = 0, y = 0] = coordinates;
  return isAt(coordinates, x, y);
}

function areNear([a, b]: Chord, [c, d]: Chord): boolean {
  if (sideOf(a, b, c) * sideOf(a, b, d) < 0 && sideOf(c, d, a) * sideOf(c, d, b) < 0) return true;
  return [distanceToChord(a, c, d), distanceToChord(b, c, d), distanceToChord(c, a, b), distanceToChord(d, a, b)].some(
    (apart) => apart <= REACH,
  );
}

/** On which side of a chord's line a point lies: above 0 on one, below on the other. */
function sideOf(from: Chord[0], to: Chord[1], { x, y }: Chord[0]): number {
  return (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x);
}
