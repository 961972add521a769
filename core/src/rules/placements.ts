import type { Matrix } from "../geometry/matrix";

/** Numbers one placement takes in the flat array of matrices. */
export const MATRIX_STRIDE = 6;

/** How often one rule repeats, and how many copies the rules before it had made. */
export interface RuleSpan {
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
export interface Placements {
  readonly count: number;
  /** Six numbers a copy, as in SVG: a b c d e f. Millimetres. */
  readonly matrices: Float64Array;
  /** Height above the bed in millimetres; null when every copy lies on it. */
  readonly rise: Float64Array | null;
  /** Scale of height; null when it is 1 for every copy. */
  readonly zScale: Float64Array | null;
  /** One a rule, in order. */
  readonly spans: readonly RuleSpan[];
  /** For each copy the number of its outline, where rules have made several; null when all have the motif's own. */
  readonly shapeOf: Uint32Array | null;
  /** For each copy its opacity, 0…1; null when all have the finish's. */
  readonly opacity: Float64Array | null;
  /** For each copy where it stands along its paint's ramp, 0…1; null where no rule says. */
  readonly paint: Float64Array | null;
  /** For each copy its number in the full product, where copies that would have doubled were left out; else null. */
  readonly slots: Uint32Array | null;
}

/** The one placement before any rule. */
export function sourcePlacement(matrix: Matrix): Placements {
  return {
    count: 1,
    matrices: Float64Array.from(matrix),
    rise: null,
    zScale: null,
    shapeOf: null,
    opacity: null,
    paint: null,
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
  const take = (values: Float64Array | null) => values && Float64Array.from(kept, (copy) => values[copy] ?? 0);
  const { shapeOf, slots } = placements;
  return {
    count: kept.length,
    matrices,
    rise: take(placements.rise),
    zScale: take(placements.zScale),
    opacity: take(placements.opacity),
    paint: take(placements.paint),
    shapeOf: shapeOf && Uint32Array.from(kept, (copy) => shapeOf[copy] ?? 0),
    spans: placements.spans,
    slots: Uint32Array.from(kept, (copy) => slots?.[copy] ?? copy),
  };
}
