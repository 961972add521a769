import type { Path } from "../geometry/path";
import { IDENTITY, multiply, type Matrix } from "../geometry/matrix";
import { symmetryProbe, type SymmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { boxOfCopies } from "./boxOfCopies";
import type { Group, Mark, PreparedRule, Transforms } from "./definition";
import { matrixAt, MATRIX_STRIDE, sourcePlacement, type Placements } from "./placements";

/** A mark of one rule, with the map from the rule's own space to the sheet. */
export interface PlacedMark {
  /** The rule's number in the part. */
  readonly rule: number;
  readonly toSheet: Matrix;
  readonly mark: Mark;
}

/** A rule with its number in the part, which counts rules that are switched off too. */
export interface ActiveRule {
  readonly number: number;
  readonly prepared: PreparedRule;
}

/**
 * Applies rules in order: Sₖ = { Tⱼ · p : j = 0 … m−1, p ∈ Sₖ₋₁ }, all of copy 0 first. `whole` sets
 * the finished part on the sheet and is folded into the last rule.
 */
export function composeRules(
  rules: readonly ActiveRule[],
  path: Path,
  whole: Matrix,
): { placements: Placements; marks: readonly PlacedMark[] } {
  const symmetry = once(() => symmetryProbe(path, TOLERANCE));
  let placements = sourcePlacement(rules.length === 0 ? whole : IDENTITY);
  const stages: { rule: number; marks: readonly Mark[]; first: Matrix }[] = [];
  rules.forEach(({ number, prepared }, index) => {
    const group = groupOf(placements, path, symmetry);
    const transforms = prepared.transforms(group);
    stages.push({ rule: number, marks: prepared.marks(group), first: matrixAt(transforms.matrices, 0) });
    const last = index === rules.length - 1;
    placements = repeat(number, placements, last ? moved(transforms, whole) : transforms, transforms);
  });
  return { placements, marks: placeMarks(stages, whole) };
}

/** A rule's marks are shown where the source stands: carried on by the first copy of every later rule. */
function placeMarks(
  stages: readonly { rule: number; marks: readonly Mark[]; first: Matrix }[],
  whole: Matrix,
): PlacedMark[] {
  let toSheet = whole;
  const placed: PlacedMark[] = [];
  for (const { rule, marks, first } of [...stages].reverse()) {
    for (const mark of marks) placed.push({ rule, toSheet, mark });
    toSheet = multiply(toSheet, first);
  }
  return placed;
}

function groupOf(placements: Placements, path: Path, symmetry: () => SymmetryProbe): Group {
  return { box: once(() => boxOfCopies(path, placements)), symmetry };
}

function once<T>(compute: () => T): () => T {
  let known: { value: T } | null = null;
  return () => (known ??= { value: compute() }).value;
}

function moved(transforms: Transforms, whole: Matrix): Transforms {
  if (whole.every((entry, place) => entry === IDENTITY[place])) return transforms;
  const matrices = new Float64Array(transforms.matrices.length);
  multiplyInto(matrices, 0, whole, transforms.matrices);
  return { ...transforms, matrices };
}

/** Writes `outer · p` for every placement p of a flat array, from an offset on. */
function multiplyInto(target: Float64Array, offset: number, outer: Matrix, inner: Float64Array): void {
  const [a, b, c, d, e, f] = outer;
  for (let at = 0; at + 5 < inner.length; at += MATRIX_STRIDE) {
    const g = inner[at] ?? 0;
    const h = inner[at + 1] ?? 0;
    const i = inner[at + 2] ?? 0;
    const j = inner[at + 3] ?? 0;
    const k = inner[at + 4] ?? 0;
    const l = inner[at + 5] ?? 0;
    const to = offset + at;
    target[to] = a * g + c * h;
    target[to + 1] = b * g + d * h;
    target[to + 2] = a * i + c * j;
    target[to + 3] = b * i + d * j;
    target[to + 4] = a * k + c * l + e;
    target[to + 5] = b * k + d * l + f;
  }
}

/** The product of one rule with the group it repeats. `own` has the transforms without the part's place. */
function repeat(number: number, group: Placements, transforms: Transforms, own: Transforms): Placements {
  const copies = transforms.matrices.length / MATRIX_STRIDE;
  const product = fullProduct(group, transforms, copies);
  const { rings = null, rows = null, columns = null } = transforms;
  const spans = [...group.spans, { number, copies, groupSize: sizeOfProduct(group), rings, rows, columns }];
  const kept = own.omits ? keptSlots(group, own, copies) : null;
  if (!kept && !group.slots) return { ...product, spans, slots: null };
  const slots = kept ?? Uint32Array.from({ length: product.count }, (_, copy) => copy);
  return { ...pick(product, slots), spans, slots: slots.map((copy) => fullSlot(group, copy)) };
}

/** The number of copies the rules before would have made had none been left out. */
function sizeOfProduct(group: Placements): number {
  return group.spans.reduce((product, span) => product * span.copies, 1);
}

/** A copy's number had no copy been left out. */
function fullSlot(group: Placements, copy: number): number {
  const j = Math.floor(copy / group.count);
  const inner = copy % group.count;
  return j * sizeOfProduct(group) + (group.slots?.[inner] ?? inner);
}

function fullProduct(group: Placements, transforms: Transforms, copies: number): Omit<Placements, "spans" | "slots"> {
  const count = copies * group.count;
  const matrices = new Float64Array(count * MATRIX_STRIDE);
  for (let j = 0; j < copies; j++) {
    multiplyInto(matrices, j * group.matrices.length, matrixAt(transforms.matrices, j), group.matrices);
  }
  return {
    count,
    matrices,
    rise: combine(group.rise, transforms.rise, copies, group.count, 0, (a, b) => a + b),
    zScale: combine(group.zScale, transforms.zScale, copies, group.count, 1, (a, b) => a * b),
  };
}

function combine(
  group: Float64Array | null,
  own: Float64Array | undefined,
  copies: number,
  size: number,
  neutral: number,
  join: (a: number, b: number) => number,
): Float64Array | null {
  if (!group && !own) return null;
  return Float64Array.from({ length: copies * size }, (_, copy) =>
    join(group?.[copy % size] ?? neutral, own?.[Math.floor(copy / size)] ?? neutral),
  );
}

/** The copies that stay when doubled ones are left out; null when all stay. */
function keptSlots(group: Placements, transforms: Transforms, copies: number): Uint32Array | null {
  const kept: number[] = [];
  for (let copy = 0; copy < copies * group.count; copy++) {
    const source = matrixAt(group.matrices, copy % group.count);
    if (!transforms.omits?.(Math.floor(copy / group.count), source)) kept.push(copy);
  }
  return kept.length === copies * group.count ? null : Uint32Array.from(kept);
}

function pick(product: Omit<Placements, "spans" | "slots">, kept: Uint32Array): Omit<Placements, "spans" | "slots"> {
  const matrices = new Float64Array(kept.length * MATRIX_STRIDE);
  kept.forEach((copy, index) => {
    matrices.set(product.matrices.subarray(copy * MATRIX_STRIDE, (copy + 1) * MATRIX_STRIDE), index * MATRIX_STRIDE);
  });
  const take = (values: Float64Array | null) => values && Float64Array.from(kept, (copy) => values[copy] ?? 0);
  return { count: kept.length, matrices, rise: take(product.rise), zScale: take(product.zScale) };
}
