import type { Scope } from "../formula/compile";
import type { NumberValue } from "../formula/numbers";
import { valueOf, type Limits } from "./limits";
import type { Problem } from "./problem";

/**
 * Turns stored numbers and formulas into values. What has none is noted as a problem at its path and
 * stands in as the nearest allowed value; whoever asked looks at `problems` before using anything.
 */
export class Resolver {
  readonly problems: Problem[] = [];

  constructor(private readonly scope: Scope) {}

  number(stored: NumberValue, limits: Limits, path: string): number {
    const outcome = valueOf(stored, limits, this.scope);
    if ("value" in outcome) return outcome.value;
    this.report(path, outcome.trouble);
    return Number.isFinite(limits.min) ? limits.min : 0;
  }

  report(path: string, message: string): void {
    this.problems.push({ path, message });
  }
}
