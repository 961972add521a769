import { formula } from "../fields/formula";
import type { CopyFormula } from "../fields/copyFormula";
import { compileFormula } from "../formula/compile";
import { FormulaError } from "../formula/formulaError";
import { polar } from "../geometry/point";
import { multiply, rotation, scaling, translation } from "../geometry/matrix";
import { COPY_NAMES, copyReader, type CopyName, type CopyValues } from "./copyNames";
import { carryOn } from "./carried";
import { defineRule } from "./definition";
import { layMatrix } from "./pack";
import { matrixAt, type Placements } from "./placements";
import { Incomputable } from "../formula/incomputable";

/** What may vary from copy to copy. */
export const VARIED = [
  "turn",
  "size",
  "sizeX",
  "sizeY",
  "moveX",
  "moveY",
  "moveOut",
  "rise",
  "tiltX",
  "tiltY",
  "opacity",
  "paint",
] as const;
/** One of the things that may vary. */
export type Varied = (typeof VARIED)[number];

type VaryValues = Readonly<Record<Varied, CopyFormula | null>>;

/**
 * Changes the copies the rules before have made, one by one, by formulas: turned (degrees) and sized about their
 * foot, moved across, down or away from the origin (millimetres), raised (millimetres) and tilted (degrees) as solids,
 * made fainter, or set along the paint's ramp.
 */
export const vary = defineRule<VaryValues>({
  kind: "vary",
  first: { size: "1 - 0.5 * t" },
  fields: {
    turn: formula("angle", COPY_NAMES),
    size: formula("factor", COPY_NAMES),
    /** Along the motif's own axes. */
    sizeX: formula("factor", COPY_NAMES),
    sizeY: formula("factor", COPY_NAMES),
    moveX: formula("length", COPY_NAMES),
    moveY: formula("length", COPY_NAMES),
    moveOut: formula("length", COPY_NAMES),
    rise: formula("length", COPY_NAMES),
    tiltX: formula("angle", COPY_NAMES),
    tiltY: formula("angle", COPY_NAMES),
    opacity: formula("share", COPY_NAMES),
    paint: formula("share", COPY_NAMES),
  },
  copies: () => 1,
  transforms: () => ({ matrices: Float64Array.of(1, 0, 0, 1, 0, 0) }),
  adjust: (values, placements) => ({
    ...placements,
    matrices: movedCopies(values, placements),
    rise: carriedOn("rise", values, placements),
    tiltX: carriedOn("tiltX", values, placements),
    tiltY: carriedOn("tiltY", values, placements),
    opacity: values.opacity ? shares(values.opacity, "opacity", placements) : placements.opacity,
    paint: values.paint ? shares(values.paint, "paint", placements) : placements.paint,
  }),
});

/** What copies carry of one thing, with what the formula adds. */
function carriedOn(field: "rise" | "tiltX" | "tiltY", values: VaryValues, placements: Placements): Float64Array | null {
  const formula = values[field];
  return formula ? carryOn(placements, field, copyValues(formula, field, placements)) : placements[field];
}

/** What moves copies on the sheet. */
const MOVING = ["turn", "size", "sizeX", "sizeY", "moveX", "moveY", "moveOut"] as const;

function shares(formula: CopyFormula, field: Varied, placements: Placements): Float64Array {
  const values = copyValues(formula, field, placements);
  return values.map((value) => Math.min(1, Math.max(0, value)));
}

/** A formula's value for every copy. Throws a Incomputable that names the first copy for which it has none. */
export function copyValues(formula: CopyFormula, field: Varied, placements: Placements): Float64Array {
  const evaluate = evaluator(formula, field);
  const read = copyReader(placements);
  const values = new Float64Array(placements.count);
  for (let copy = 0; copy < placements.count; copy++) values[copy] = evaluate(read(copy));
  return values;
}

function evaluator({ text, numbers }: CopyFormula, field: Varied): (copy: CopyValues) => number {
  const compiled = compileFormula(text);
  let copy: CopyValues | null = null;
  const scope = (name: string) => (copy && isCopyName(name) ? copy[name] : numbers[name]);
  return (values) => {
    copy = values;
    try {
      return compiled.evaluate(scope);
    } catch (error) {
      if (!(error instanceof FormulaError)) throw error;
      throw new Incomputable(field, `“${text}” for copy ${values.i + 1} of ${values.n}: ${error.message}`);
    }
  };
}

function isCopyName(name: string): name is CopyName {
  return COPY_NAMES.some((known) => known === name);
}

function movedCopies(values: VaryValues, placements: Placements): Float64Array {
  const given = MOVING.filter((field) => values[field] !== null);
  if (given.length === 0) return placements.matrices;
  const of = (field: Varied) => {
    const formula = values[field];
    return formula && evaluator(formula, field);
  };
  const [turn, size, sizeX, sizeY] = [of("turn"), of("size"), of("sizeX"), of("sizeY")];
  const [moveX, moveY, moveOut] = [of("moveX"), of("moveY"), of("moveOut")];
  const read = copyReader(placements);
  const matrices = new Float64Array(placements.matrices.length);
  for (let copy = 0; copy < placements.count; copy++) {
    const known = read(copy);
    const out = moveOut ? polar(moveOut(known), known.angle) : { x: 0, y: 0 };
    const x = known.x + out.x + (moveX?.(known) ?? 0);
    const y = known.y + out.y + (moveY?.(known) ?? 0);
    const [a, b, c, d] = matrixAt(placements.matrices, copy);
    const own = multiply([a, b, c, d, 0, 0], scaling(sizeX?.(known) ?? 1, sizeY?.(known) ?? 1));
    const changed = multiply(rotation(turn?.(known) ?? 0), multiply(scaling(size?.(known) ?? 1), own));
    layMatrix(matrices, copy, multiply(translation(x, y), changed));
  }
  return matrices;
}
