import { once } from "../geometry/once";
import { apply, IDENTITY, multiply, type Matrix } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { symmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import type { Surroundings } from "../motif/drawing";
import { repeatCarried } from "./carried";
import { boxOfCopies } from "./boxOfCopies";
import { areaOfCopies } from "./copyOutlines";
import type { Group, Mark, PreparedRule, Transforms } from "./definition";
import type { LinkReport } from "./linkedNumbers";
import { extentOf, extentOfProduct, farthestCheck, type Extent } from "./farthest";
import { mostCopiesCheck } from "./mostCopies";
import { matrixAt, MATRIX_STRIDE, pickCopies, sourcePlacement, type Placements } from "./placements";
import { placingTrouble } from "../formula/incomputable";
import type { Shape } from "./shape";
import { reshapeCopies, reshapeMotifs } from "./shapes";
import { sizesOf, sizingMatrices } from "./standing";

/** A mark of one rule, with the map from the rule's own space to the sheet. */
export interface PlacedMark {
  /** The rule's number in the part. */
  readonly rule: number;
  /** From the space of the mark to the sheet. */
  readonly toSheet: Matrix;
  /** What can be seen or pulled. */
  readonly mark: Mark;
}

/** A rule with its number in the part, which counts rules that are switched off too. */
export interface ActiveRule {
  /** Its number in the part's list. */
  readonly number: number;
  /** Ready to be applied. */
  readonly prepared: PreparedRule;
}

/** Where every copy stands, and the outlines they have. */
export interface Composition {
  /** Where every copy stands. */
  readonly placements: Placements;
  /** The motif first where no rule has reshaped it. */
  readonly shapes: readonly Shape[];
  /** Worked out when first asked for: what can be shown and pulled. */
  readonly marks: () => readonly PlacedMark[];
  /** Worked out when first asked for: for each rule, by its number in the part, its numbers that hang together. */
  readonly links: () => ReadonlyMap<number, readonly LinkReport[]>;
  /** What each rule that adds copies came to, by its number in the part. */
  readonly transforms: ReadonlyMap<number, Transforms>;
  /** Each rule's group, for rules that may be asked more. */
  readonly groups: ReadonlyMap<number, Group>;
  /** What the person should know, in words. */
  readonly notes: readonly string[];
}

/** What else rules may go by. */
interface CompositionParts {
  /** Where the motif has its foot before any rule, millimetres. */
  readonly foot: Point;
  /** How far lines reach beyond the outlines of copies so many times as large, millimetres. */
  readonly reach: (size: number) => number;
  /** For a rule's number what takes the place of what it would come to. */
  readonly given: ReadonlyMap<number, Transforms>;
}

/** Copies under way from rule to rule. */
interface Stage {
  readonly placements: Placements;
  readonly shapes: readonly Shape[];
  /** What no entry of their matrices is beyond. */
  readonly extent: Extent;
}

/**
 * Applies rules in order: Sₖ = { Tⱼ · p : j = 0 … m−1, p ∈ Sₖ₋₁ }, all of copy 0 first. `whole` sets
 * the finished part on the sheet and is folded into the last rule. What is given for a rule's number takes the place of
 * what the rule itself would come to. Throws a Incomputable.
 */
export function composeRules(
  rules: readonly ActiveRule[],
  motif: Shape,
  whole: Matrix,
  surroundings: Surroundings,
  { foot = ORIGIN, reach = NO_LINES, given = NOTHING_GIVEN }: Partial<CompositionParts> = {},
): Composition {
  const symmetry = once(() => symmetryProbe(motif.path, TOLERANCE));
  const notes: string[] = [];
  const source = sourcePlacement(rules.length === 0 ? whole : IDENTITY);
  let stage: Stage = { placements: source, shapes: [motif], extent: extentOf(source.matrices) };
  const applied: AppliedRule[] = [];
  const cameTo = new Map<number, Transforms>();
  const apply = ({ number, prepared }: ActiveRule, index: number) => {
    const after = index === rules.length - 1 ? whole : IDENTITY;
    const group = groupOf(stage, { foot, reach, surroundings, symmetry }, notes);
    if (prepared.adjust) {
      const adjusted = prepared.adjust(stage.placements);
      const extent = extentOf(adjusted.matrices);
      farthestCheck(adjusted, extent);
      stage = { ...stage, extent, placements: { ...adjusted, matrices: movedMatrices(adjusted.matrices, after) } };
      return;
    }
    const transforms = given.get(number) ?? prepared.transforms(group);
    cameTo.set(number, transforms);
    mostCopiesCheck((transforms.matrices.length / MATRIX_STRIDE) * stage.placements.count);
    applied.push({ rule: number, prepared, group, first: matrixAt(transforms.matrices, 0) });
    stage = repeat(number, stage, transforms, after);
    farthestCheck(stage.placements, stage.extent);
  };
  rules.forEach((rule, index) => placingTrouble(`rules[${rule.number}]`, () => apply(rule, index)));
  return {
    placements: stage.placements,
    shapes: stage.shapes,
    marks: once(() => placeMarks(applied, whole)),
    links: once(() => new Map(applied.map(({ rule, prepared, group }) => [rule, prepared.links(group)]))),
    transforms: cameTo,
    groups: new Map(applied.map(({ rule, group }) => [rule, group])),
    notes: notes,
  };
}

const NO_LINES = () => 0;
const NOTHING_GIVEN: ReadonlyMap<number, Transforms> = new Map();

/** A rule that has been applied, with the group it was applied to. */
interface AppliedRule {
  readonly rule: number;
  readonly prepared: PreparedRule;
  readonly group: Group;
  readonly first: Matrix;
}

/** A rule's marks are shown where the source stands: carried on by the first copy of every later rule. */
function placeMarks(applied: readonly AppliedRule[], whole: Matrix): PlacedMark[] {
  let toSheet = whole;
  const placed: PlacedMark[] = [];
  for (const { rule, prepared, group, first } of [...applied].reverse()) {
    for (const mark of prepared.marks(group)) placed.push({ rule, toSheet, mark });
    toSheet = multiply(toSheet, first);
  }
  return placed;
}

function groupOf(
  { placements, shapes }: Stage,
  {
    foot,
    reach,
    surroundings,
    symmetry,
  }: Pick<Group, "reach" | "surroundings" | "symmetry"> & { readonly foot: Point },
  told: string[],
): Group {
  return {
    reach,
    surroundings,
    symmetry,
    count: placements.count,
    box: once(() => boxOfCopies(shapes, placements)),
    foot: () => apply(matrixAt(placements.matrices, 0), foot),
    outline: once(() => areaOfCopies({ shapes, placements })),
    note: (words) => {
      if (!told.includes(words)) told.push(words);
    },
  };
}

function isIdentity(matrix: Matrix): boolean {
  return matrix.every((entry, place) => entry === IDENTITY[place]);
}

function movedMatrices(matrices: Float64Array, by: Matrix): Float64Array {
  if (isIdentity(by)) return matrices;
  const moved = new Float64Array(matrices.length);
  multiplyInto(moved, 0, Float64Array.from(by), 0, matrices);
  return moved;
}

/** Writes `outer · p` for every placement p of a flat array, from an offset on; the outer one is read from its own array. */
function multiplyInto(
  target: Float64Array,
  offset: number,
  outers: Float64Array,
  outer: number,
  inner: Float64Array,
): void {
  const from = outer * MATRIX_STRIDE;
  const a = outers[from] ?? 1;
  const b = outers[from + 1] ?? 0;
  const c = outers[from + 2] ?? 0;
  const d = outers[from + 3] ?? 1;
  const e = outers[from + 4] ?? 0;
  const f = outers[from + 5] ?? 0;
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

/** The product of one rule with the group it repeats; `after` is where the part is set once it is whole. */
function repeat(
  number: number,
  { placements: group, shapes, extent: inside }: Stage,
  own: Transforms,
  after: Matrix,
): Stage {
  const copies = own.matrices.length / MATRIX_STRIDE;
  const { reshape, rings = null, rows = null, columns = null } = own;
  const inner = reshape?.space === "group" ? { ...group, matrices: sizingMatrices(sizesOf(group)) } : group;
  const matrices = movedMatrices(own.matrices, after);
  const extent = extentOfProduct(extentOf(matrices), inner === group ? inside : extentOf(inner.matrices));
  const shaped = !reshape
    ? { shapes, shapeOf: repeated(group.shapeOf, copies) }
    : (reshape.space === "motif" ? reshapeMotifs : reshapeCopies)(reshape, copies, group, shapes);
  const span = { number, copies, groupSize: sizeOfProduct(group), rings, rows, columns };
  const kept = own.omits ? keptSlots(group, own, copies) : null;
  const product: Placements = {
    ...fullProduct(inner, { ...own, matrices }, copies),
    shapeOf: shaped.shapeOf,
    spans: [...group.spans, span],
    slots: null,
  };
  if (!kept && !group.slots) return { placements: product, shapes: shaped.shapes, extent };
  const slots = kept ?? Uint32Array.from({ length: product.count }, (_, copy) => copy);
  const placements = { ...pickCopies(product, slots), slots: slots.map((copy) => fullSlot(group, copy)) };
  return { placements, shapes: shaped.shapes, extent };
}

function repeated(shapeOf: Uint32Array | null, copies: number): Uint32Array | null {
  if (!shapeOf) return null;
  return Uint32Array.from({ length: shapeOf.length * copies }, (_, copy) => shapeOf[copy % shapeOf.length] ?? 0);
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

function fullProduct(
  group: Placements,
  transforms: Transforms,
  copies: number,
): Omit<Placements, "spans" | "slots" | "shapeOf"> {
  const count = copies * group.count;
  // The first rule repeats the source alone: its transforms are the copies.
  const alone = group.count === 1 && isIdentity(matrixAt(group.matrices, 0));
  const matrices = alone ? transforms.matrices : new Float64Array(count * MATRIX_STRIDE);
  for (let j = 0; j < copies && !alone; j++) {
    multiplyInto(matrices, j * group.matrices.length, transforms.matrices, j, group.matrices);
  }
  return { count, matrices, ...repeatCarried(group, transforms, copies, group.count) };
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
