import { ChordCells, STRIDE } from "./chordCells";
import type { Path } from "./path";
import { randomFrom } from "./random";

/** Fewer chords than this are not looked at: whatever they do is soon done. */
const FEW = 600;
/** Chords looked at in one cell, each with each. */
const LOOKED_AT = 16;

/**
 * About how often outlines cross or lie on each other, every curve taken for the chord between its ends: a grid is laid over them,
 * and of the chords in each cell some are held against each other, which stand for all. The same outlines give the same number.
 */
export function crossingsAmong(outlines: readonly Path[]): number {
  const chords = chordsOf(outlines);
  if (chords.length / STRIDE < FEW) return 0;
  const cells = new ChordCells(chords);
  const random = randomFrom(1);
  let crossings = 0;
  for (let cell = 0; cell < cells.count; cell++) crossings += crossingsIn(cell, cells, random);
  return crossings;
}

function chordsOf(outlines: readonly Path[]): Float64Array {
  const runs = outlines.flat();
  const count = runs.reduce((sum, { coordinates }) => sum + Math.max(0, Math.floor((coordinates.length - 2) / 6)), 0);
  const chords = new Float64Array(count * STRIDE);
  let to = 0;
  for (const { coordinates } of runs) {
    for (let k = 0; k + 7 < coordinates.length; k += 6) {
      chords[to++] = coordinates[k] ?? 0;
      chords[to++] = coordinates[k + 1] ?? 0;
      chords[to++] = coordinates[k + 6] ?? 0;
      chords[to++] = coordinates[k + 7] ?? 0;
    }
  }
  return chords;
}

/** The crossings in one cell, guessed from some of its chords. */
function crossingsIn(cell: number, cells: ChordCells, random: () => number): number {
  const within = cells.within(cell);
  const looked = Math.min(within.length, LOOKED_AT);
  if (looked < 2) return 0;
  // One from each of so many stretches of the list, else chords of one kind would stand for all.
  const some = Array.from(
    { length: looked },
    (_, k) => within[Math.floor(((k + (looked < within.length ? random() : 0)) * within.length) / looked)] ?? 0,
  );
  let hits = 0;
  for (let a = 0; a < looked; a++) {
    for (let b = 0; b < a; b++) hits += cells.crossings(some[a] ?? 0, some[b] ?? 0, cell);
  }
  return (hits * within.length * (within.length - 1)) / (looked * (looked - 1));
}
