import type { Scope } from "../formula/compile";
import type { NumberValue } from "../formula/numbers";
import type { Conflict, Problem } from "../formula/problem";
import { paletteNameOf } from "./colors";
import { readCopyFormula, type CopyFormula } from "./copyFormula";
import { valueOf, type Limits } from "./limits";
import type { Motif } from "./stored";

/** Prepares a motif that stands inside another; fields know nothing of motifs, so whoever asks says what it is. */
type PrepareMotif = (stored: Motif, resolver: Resolver, path: string) => unknown;

/**
 * Turns stored numbers and formulas into values. What has none is noted as a problem at its path and
 * stands in as the nearest allowed value; whoever asked looks at `problems` before using anything.
 */
export class Resolver {
  readonly problems: Problem[] = [];
  /** What would be right at paths where something is wrong between fields. */
  readonly mends = new Map<string, number>();
  /** Goes up with everything that is asked for which the stored values alone do not say, and with everything reported. */
  asked = 0;

  constructor(
    private readonly scope: Scope,
    private readonly prepareMotif: PrepareMotif,
    /** Palette colours by name. */
    private readonly palette: ReadonlyMap<string, string>,
  ) {}

  /** A number or formula computed and held against its limits. */
  number(stored: NumberValue, limits: Limits, path: string): number {
    if (typeof stored === "string") this.asked += 1;
    const outcome = valueOf(stored, limits, this.scope);
    if ("value" in outcome) return outcome.value;
    this.report(path, outcome.trouble);
    return Number.isFinite(limits.min) ? limits.min : 0;
  }

  /** A formula to be computed for each copy: read, and its named numbers looked up. */
  copyFormula(text: string, names: readonly string[], path: string): CopyFormula | null {
    this.asked += 1;
    const outcome = readCopyFormula(text, names, this.scope);
    if ("text" in outcome) return outcome;
    this.report(path, outcome.trouble);
    return null;
  }

  /** A colour as `#RRGGBB` or `#RRGGBBAA`. A palette name that has gone is black, which shows. */
  color(stored: string): string {
    const name = paletteNameOf(stored);
    if (name === null) return stored;
    this.asked += 1;
    return this.palette.get(name) ?? "#000000";
  }

  /** A motif that stands inside another, prepared. */
  motif(stored: Motif, path: string): unknown {
    return this.prepareMotif(stored, this, path);
  }

  /** Notes what is wrong at a path. */
  report(path: string, message: string): void {
    this.asked += 1;
    this.problems.push({ path, message });
  }

  /** Notes what is wrong between the fields of what stands at a path. */
  reportConflict(path: string, { path: field, message, mend }: Conflict): void {
    this.report(`${path}.${field}`, message);
    if (mend !== undefined) this.mends.set(`${path}.${field}`, mend);
  }
}
