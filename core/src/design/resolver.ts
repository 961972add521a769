import type { Scope } from "../formula/compile";
import type { NumberValue } from "../formula/numbers";
import { readCopyFormula } from "./copyFormula";
import type { CopyFormula } from "./field";
import { valueOf, type Limits } from "./limits";
import type { PlacedMotif } from "../motif/placedMotif";
import type { Problem } from "./problem";
import type { NestedMotif } from "./structures";

/** Prepares a motif that stands inside another. */
export type PrepareNested = (stored: NestedMotif, resolver: Resolver, path: string) => PlacedMotif;

/**
 * Turns stored numbers and formulas into values. What has none is noted as a problem at its path and
 * stands in as the nearest allowed value; whoever asked looks at `problems` before using anything.
 */
export class Resolver {
  readonly problems: Problem[] = [];

  constructor(
    private readonly scope: Scope,
    private readonly prepareNested: PrepareNested,
  ) {}

  number(stored: NumberValue, limits: Limits, path: string): number {
    const outcome = valueOf(stored, limits, this.scope);
    if ("value" in outcome) return outcome.value;
    this.report(path, outcome.trouble);
    return Number.isFinite(limits.min) ? limits.min : 0;
  }

  /** A formula to be computed for each copy: read, and its named numbers looked up. */
  copyFormula(text: string, names: readonly string[], path: string): CopyFormula | null {
    const outcome = readCopyFormula(text, names, this.scope);
    if ("text" in outcome) return outcome;
    this.report(path, outcome.trouble);
    return null;
  }

  motif(stored: NestedMotif, path: string): PlacedMotif {
    return this.prepareNested(stored, this, path);
  }

  report(path: string, message: string): void {
    this.problems.push({ path, message });
  }
}
