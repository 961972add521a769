import type { RuleDefinition } from "./definition";
import { along } from "./along";
import { between } from "./between";
import { border } from "./border";
import { grid } from "./grid";
import { reflect } from "./reflect";
import { ring } from "./ring";
import { scatter } from "./scatter";
import { spiral } from "./spiral";
import { step } from "./step";
import { turn } from "./turn";
import { vary } from "./vary";

/** Every kind of rule, in the order they are offered. */
export const RULES: readonly RuleDefinition[] = [
  turn,
  reflect,
  step,
  ring,
  spiral,
  grid,
  border,
  along,
  scatter,
  between,
  vary,
];

const byKind = new Map(RULES.map((definition) => [definition.kind, definition]));

/** The definition of a kind; undefined for a kind there is none of. */
export function ruleOf(kind: string): RuleDefinition | undefined {
  return byKind.get(kind);
}
