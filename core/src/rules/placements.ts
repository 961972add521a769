import type { Matrix } from "../geometry/matrix";
import { NOTHING_CARRIED, pickCarried, type Carried } from "./carried";

/** Numbers one placement takes in the flat array of matrices. */
export const MATRIX_STRIDE = 6;

/** How often one rule repeats, and how many copies the rules before it had made. */
interface RuleSpan {
  /** The rule's number in the part, which counts rules that are switched off too. */
  readonly number: number;
  readonly copies: number;
  readonly groupSize: number;
  /** For rules that lay several rings: the ring each of its copies is on. */
  readonly rings: Uint32Array | null;
  /** For rules that lay rows and columns: those each of its copies stands in. */
  readonly rows: Uint32Array | null;
  readonly columns: Uint32Array | null;
}

/**
 * Where every copy of a motif stands, as flat arrays: cheap to compute, to hand to a worker, to draw.
 * Copies are in the order of the rules, all of copy 0 of the last rule first.
 */
export interface Placements extends Carried {
  /** How many copies. */
  readonly count: number;
  /** Six numbers a copy, as in SVG: a b c d e f. Millimetres. */
  readonly matrices: Float64Array;
  /** One a rule, in order. */
  readonly spans: readonly RuleSpan[];
  /** For each copy the number of its outline, where rules have made several; null when all have the motif's own. */
  readonly shapeOf: Uint32Array | null;
  /** For each copy its number in the full product, where copies that would have doubled were left out; else null. */
  readonly slots: Uint32Array | null;
}

/** The one placement before any rule. */
export function sourcePlacement(matrix: Matrix): Placements {
  return {
    count: 1,
    matrices: Float64Array.from(matrix),
    ...NOTHING_CARRIED,
    shapeOf: null,
    spans: [],
    slots: null,
  };
}

/** The matrix of one copy. */
export function matrixAt(matrices: Float64Array, index: number): Matrix {
  const at = index * MATRIX_STRIDE;
  return [
    matrices[at] ?? 1,
    matrices[at + 1] ?? 0,
    matrices[at + 2] ?? 0,
    matrices[at + 3] ?? 1,
    matrices[at + 4] ?? 0,
    matrices[at + 5] ?? 0,
  ];
}

/** A copy's number under one rule: 0 for the rule's first copy. */
export function indexUnder(placements: Placements, rule: number, copy: number): number {
  const span = placements.spans[rule];
  if (!span) return 0;
  return Math.floor((placements.slots?.[copy] ?? copy) / span.groupSize) % span.copies;
}

/** What a rule counts its copies by beside their own order. */
export type Counting = "rings" | "rows" | "columns";

/** The ring, row or column a copy stands in under one rule; 0 where the rule lays none. */
export function numberUnder(placements: Placements, rule: number, counting: Counting, copy: number): number {
  return placements.spans[rule]?.[counting]?.[indexUnder(placements, rule, copy)] ?? 0;
}

/** The last rule that lays rings, rows or columns, by its place among the active ones; -1 where none does. */
export function lastCounting(placements: Placements, counting: Counting): number {
  return placements.spans.findLastIndex((span) => span[counting] !== null);
}

/** The copies of the given numbers, in that order. */
export function pickCopies(placements: Placements, kept: Uint32Array): Placements {
  const matrices = new Float64Array(kept.length * MATRIX_STRIDE);
  kept.forEach((copy, index) => {
    matrices.set(placements.matrices.subarray(copy * MATRIX_STRIDE, (copy + 1) * MATRIX_STRIDE), index * MATRIX_STRIDE);
  });
  const { shapeOf, slots } = placements;
  return {
    count: kept.length,
    matrices,
    ...pickCarried(placements, kept),
    shapeOf: shapeOf && Uint32Array.from(kept, (copy) => shapeOf[copy] ?? 0),
    spans: placements.spans,
    slots: Uint32Array.from(kept, (copy) => slots?.[copy] ?? copy),
  };
}
