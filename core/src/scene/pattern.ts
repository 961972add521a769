import { joinOf } from "../join/list";
import type { ResolvedPart } from "../design/resolved";
import { SHEET } from "../fields/partName";
import { changesWithin, colorAt, isCarriedPaint, overOf, turnsOfPaint, type Paint } from "../finish/paint";
import { at } from "../geometry/at";
import { boxOfPoints, cornersOf, growBox, isEmpty, reachFrom, type Box } from "../geometry/box";
import { IDENTITY, apply, invert, multiply, type Matrix } from "../geometry/matrix";
import { ORIGIN, type Point } from "../geometry/point";
import { MOST_COPIES } from "../fields/most";
import type { ActiveRule, Composition } from "../rules/compose";
import type { Transforms } from "../rules/definition";
import { packMatrices } from "../rules/pack";
import { indexUnder, matrixAt, MATRIX_STRIDE, type Placements } from "../rules/placements";
import type { Repeat, RepeatSide } from "../rules/repeat";
import { Incomputable } from "../formula/incomputable";
import { shortestVector, type LatticeVector, type Period } from "../rules/tile";

/** A rule that goes on for ever, with all that follows it. */
interface Endless {
  readonly rule: number;
  readonly repeat: Repeat;
  /** Everything the rules after it and the part's own place do to it. */
  readonly outers: readonly Matrix[];
  /** Copies the rules before it make. */
  readonly inner: number;
}

/** Places more than this are not looked through: two patterns that hardly ever meet again have no period. */
const MOST_MULTIPLES = 48;
const NEAR = 1e-6;

/** The last rule of a part that goes on for ever, and what follows it; or why it has no period, in words. */
export function endlessOf(part: ResolvedPart, composed: Composition): Endless | string {
  const { rules } = part;
  const last = rules.findLastIndex(({ number, prepared }) => {
    const group = composed.groups.get(number);
    return group !== undefined && prepared.repeat(group) !== null;
  });
  const rule = rules[last];
  const group = rule && composed.groups.get(rule.number);
  const repeat = group && rule.prepared.repeat(group);
  if (!rule || !group || !repeat) return "it repeats neither in a grid nor in a border that runs level";
  const later = rules.slice(last + 1);
  const odd = later.find(({ number, prepared }) => prepared.adjust || composed.transforms.get(number)?.reshape);
  if (odd) return "a rule after its grid changes copies one by one";
  const outers = productOf(later, composed, part.at);
  if (!outers) return "the rules after its grid make too many copies";
  return { rule: rule.number, repeat, outers, inner: group.count };
}

/** More copies of an endless pattern are not looked at. */
const MOST_OUTERS = 2_000;

/** The maps of several rules one after the other, the last one's first copy first; null where there are too many. */
function productOf(rules: readonly ActiveRule[], composed: Composition, whole: Matrix): Matrix[] | null {
  // The part's own place is folded into the last rule's maps.
  if (rules.length === 0) return [whole];
  let maps: Matrix[] = [IDENTITY];
  for (const { number } of rules) {
    const matrices = composed.transforms.get(number)?.matrices ?? new Float64Array(0);
    const own = Array.from({ length: matrices.length / MATRIX_STRIDE }, (_, j) => matrixAt(matrices, j));
    if (own.length * maps.length > MOST_OUTERS) return null;
    maps = own.flatMap((outer) => maps.map((inner) => multiply(outer, inner)));
  }
  return maps.map((map) => multiply(whole, map));
}

/** How a copy's numbers go up along a vector of the pattern, for colours that take turns. */
interface Step {
  readonly index: number;
  readonly column: number;
  readonly row: number;
}

/** Colours that take turns: how many, and how far on in them a vector goes. */
interface Shift {
  readonly count: number;
  of: (step: Step) => number;
}

/** The period of a pattern in which colours take turns; or why there is none. */
export function periodOf({ repeat, outers, inner }: Endless, shifts: readonly Shift[]): Period | string {
  const stepOf = ({ m, n }: LatticeVector): Step => {
    const along = (side: RepeatSide | null, times: number) => ({
      column: (side?.columns ?? 0) * times,
      row: (side?.rows ?? 0) * times,
    });
    const [a, b] = [along(repeat.a, m), along(repeat.b, n)];
    const [column, row] = [a.column + b.column, a.row + b.row];
    return { column, row, index: (row * (repeat.columns ?? 1) + column) * repeat.images * inner };
  };
  const lengthOf = (vanishing: "x" | "y"): number | null => {
    let common: number | null = null;
    for (const [a, b, c, d] of distinct(outers)) {
      const carried = ({ x, y }: Point): Point => ({ x: a * x + c * y, y: b * x + d * y });
      const vector = shortestVector(carried(repeat.a.vector), carried(repeat.b?.vector ?? ORIGIN), vanishing);
      if (!vector) return null;
      const own = vector.length * timesUntilSame(stepOf(vector), shifts);
      common = common === null ? own : commonMultiple(common, own);
      if (common === null) return null;
    }
    return common;
  };
  const width = lengthOf("y");
  if (width === null) return "it does not repeat level";
  if (!repeat.b) return { width, height: null };
  const height = lengthOf("x");
  return height === null ? "it does not repeat upright" : { width, height };
}

/** Maps of different turn and size; where they stand does not change a period. */
function distinct(maps: readonly Matrix[]): readonly Matrix[] {
  const known = new Map(
    maps.map((map) => [
      map
        .slice(0, 4)
        .map((entry) => entry.toFixed(9))
        .join(),
      map,
    ]),
  );
  return [...known.values()];
}

/** How often a vector has to be gone along until all colours are the same again. */
function timesUntilSame(step: Step, shifts: readonly Shift[]): number {
  for (let times = 1; ; times++) {
    if (shifts.every(({ count, of }) => modulo(of(step) * times, count) === 0)) return times;
  }
}

function modulo(value: number, count: number): number {
  return ((value % count) + count) % count;
}

/** The least length that is a whole multiple of both; null where none is found. */
function commonMultiple(a: number, b: number): number | null {
  for (let times = 1; times <= MOST_MULTIPLES; times++) {
    const share = (a * times) / b;
    if (Math.abs(share - Math.round(share)) < NEAR && Math.round(share) > 0) return a * times;
  }
  return null;
}

/** What the colours of a paint take turns by, none for those that do not; or why a paint has no period, in words. */
export function shiftsOf(paint: Paint | null, endless: Endless, placements: Placements): readonly Shift[] | string {
  if (!paint || paint.kind === "flat" || paint.kind === "each") return [];
  if (changesWithin(paint)) return overOf(paint) === "whole" ? "its colours lie over the whole of it" : [];
  const turns = turnsOfPaint(paint);
  if (!turns) return isCarriedPaint(paint) && placements.paint ? [] : "its colours are mixed along all copies";
  const { rule, repeat, inner } = endless;
  const count = turns.colors.length;
  switch (turns.by) {
    case "ring":
      return [];
    case "row":
    case "column": {
      const by = turns.by;
      const counted = placements.spans.findLast((span) => span[by === "row" ? "rows" : "columns"] !== null);
      return counted?.number === rule ? [{ count, of: (step) => step[by] }] : [];
    }
    case "distance":
    case "angle":
      return "its colours go by distance or direction";
    default: {
      const isIndex = turns.by === "index";
      if (!isIndex && turns.by !== `rule:${rule + 1}`) return [];
      if (repeat.b && repeat.columns === null)
        return "its colours take turns copy by copy, in rows of different length";
      return [{ count, of: ({ index }) => (isIndex ? index : index / inner) }];
    }
  }
}

/** The endless rule laid over a box of the sheet: so many copies that nothing is missing in it. */
export function laidOver({ repeat, outers }: Endless, box: Box, own: Box): Laid {
  const cells = cellsOver(repeat, outers, box, own);
  const count = cells.length * repeat.images;
  const cellOf = (j: number) => at(cells, Math.floor(j / repeat.images));
  const numbers = cells.map(({ column, row }) => repeat.number(column, row));
  return {
    transforms: {
      matrices: packMatrices(count, (j) => {
        const { column, row } = cellOf(j);
        return repeat.place(column, row, j % repeat.images);
      }),
    },
    numberOf(j) {
      const { column, row } = at(numbers, Math.floor(j / repeat.images));
      return { column, row, index: (row * (repeat.columns ?? 0) + column) * repeat.images + (j % repeat.images) };
    },
  };
}

/** Copies of an endless rule, and the numbers they would have if the rule had no end. */
interface Laid {
  readonly transforms: Transforms;
  numberOf: (j: number) => Step;
}

interface CellPlace {
  readonly column: number;
  readonly row: number;
}

function cellsOver(repeat: Repeat, outers: readonly Matrix[], box: Box, own: Box): CellPlace[] {
  if (isEmpty(own)) return [];
  const { a, b } = repeat.cell;
  const toCell = invert([a.x, a.y, b?.x ?? -a.y, b?.y ?? a.x, 0, 0]);
  const origin = repeat.place(0, 0, 0);
  const places = outers.flatMap((outer) => {
    const back = invert(outer);
    if (!back || !toCell) return [];
    const corners = cornersOf(box).map((corner) => apply(back, corner));
    const wide = growBox(boxOfPoints(corners), reachFrom(own, ORIGIN, 0));
    return cornersOf(wide).map(({ x, y }) => apply(toCell, { x: x - origin[4], y: y - origin[5] }));
  });
  const { left, top, right, bottom } = boxOfPoints(places);
  const [fromRow, toRow] = b ? [Math.floor(top) - ROOM, Math.ceil(bottom) + ROOM] : [0, 0];
  const [fromColumn, toColumn] = [Math.floor(left) - ROOM, Math.ceil(right) + ROOM];
  const count = (toRow - fromRow + 1) * (toColumn - fromColumn + 1) * repeat.images * outers.length;
  if (count > MOST_COPIES) throw new Incomputable("rules", "make too many copies for a tile");
  const columns = span(fromColumn, toColumn);
  return span(fromRow, toRow).flatMap((row) => columns.map((column) => ({ column, row })));
}

/** Cells around: what belongs to one may stand in the next. */
const ROOM = 2;

const span = (from: number, to: number) => Array.from({ length: Math.max(0, to - from + 1) }, (_, k) => from + k);

/**
 * A paint whose colours take turns as a paint for each copy, by the numbers the copies would have if the rule had no end.
 * `before` are the copies the rule itself makes, `all` how many that are.
 */
export function endlessPaint(
  paint: Paint | null,
  endless: Endless,
  before: Placements,
  placements: Placements,
  laid: Laid,
  all: number,
): Paint | null {
  const turns = paint && turnsOfPaint(paint);
  if (!turns) return paint;
  const { colors, by } = turns;
  const span = placements.spans.findIndex(({ number }) => number === endless.rule);
  const { groupSize, copies } = at(placements.spans, span);
  const numberOf = (copy: number) => laid.numberOf(indexUnder(placements, span, copy));
  const turnOf = (copy: number): number | null => {
    const slot = placements.slots?.[copy] ?? copy;
    if (by === "index") {
      const outer = Math.floor(slot / (groupSize * copies));
      return (outer * all + numberOf(copy).index) * groupSize + (slot % groupSize);
    }
    if (by === "row" || by === "column") {
      const counted = before.spans.findLast((own) => own[by === "row" ? "rows" : "columns"] !== null);
      return counted?.number === endless.rule ? numberOf(copy)[by] : null;
    }
    return by === `rule:${endless.rule + 1}` ? numberOf(copy).index : null;
  };
  const usual = colorAt(paint, placements);
  const paints = Array.from({ length: placements.count }, (_, copy) => {
    const turn = turnOf(copy);
    const color = turn === null ? usual(copy) : at(colors, modulo(turn, colors.length));
    return { kind: "flat", color } as const;
  });
  return { kind: "each", paints };
}

/** Why the rest of a part has no period, in words; null where it has one. */
export function seamOf({ join, finish }: ResolvedPart): string | null {
  if (joinOf(join.mode).takesOthers && join.with.length > 0) return "another part is joined with it";
  if (join.cutBy.length > 0) return "another part cuts it";
  if (join.inside !== null && join.inside !== SHEET) return "it is kept inside another part";
  if (finish.effects.grain || finish.effects.texture) return "its grain or facets do not repeat";
  if (join.mode === "faces" && (join.own.length > 0 || (join.paint === "orbit" && manyColors(join, finish.fill)))) {
    return "its faces are coloured one by one; colour them by how many lie over each other, or alternately";
  }
  return join.mode === "weave" ? "its strands go over and under from where they begin, not from tile to tile" : null;
}

function manyColors({ colors }: ResolvedPart["join"], fill: Paint | null): boolean {
  return colors.length > 1 || (colors.length === 0 && fill !== null && fill.kind !== "flat" && !changesWithin(fill));
}
