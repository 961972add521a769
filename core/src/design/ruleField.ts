import { boolean } from "yup";
import { withoutDefaults } from "../fields/definitionFields";
import type { FieldInfo, FieldOf } from "../fields/field";
import { rewriteFields, wordsOf } from "../fields/record";
import { isStoredFields, type StoredFields } from "../fields/stored";
import { kindSchema } from "../fields/variants";
import type { PreparedRule } from "../rules/definition";
import { RULES, ruleOf } from "../rules/list";

/** A rule as a design holds it: whichever fields differ from their defaults, and whether it is on. */
export interface Rule extends StoredFields {
  /** Whether it does anything; true where it is left out. */
  readonly on: boolean;
}

/** A rule with its numbers known. */
export interface RuleInUse {
  readonly on: boolean;
  readonly prepared: PreparedRule;
}

/** A rule of any kind. */
export const rule: FieldInfo & FieldOf<RuleInUse, Rule> = {
  type: "structure",
  schema: () =>
    kindSchema(
      RULES.map(({ kind }) => kind),
      (kind) => ruleOf(kind)?.fields,
      { on: boolean() },
    ),
  isDefault: () => false,
  complete: (stored) => {
    const kept = keptRule(stored);
    return { ...kept, on: kept.on !== false };
  },
  brief(stored) {
    const { on, ...kept } = keptRule(stored);
    return { ...kept, ...(on === false && { on }) };
  },
  resolve(stored, resolver, path) {
    const kept = keptRule(stored);
    const definition = ruleOf(kept.kind);
    if (!definition) throw new Error(`a design with the unknown rule ${kept.kind} was let in`);
    return { on: kept.on !== false, prepared: definition.prepare(kept, resolver, path) };
  },
  words: () => RULES.flatMap(({ kind, fields }) => [kind, ...wordsOf(fields)]),
  rewrite: (stored, by, path) =>
    isStoredFields(stored) ? rewriteFields(ruleOf(stored.kind)?.fields ?? {}, stored, by, path) : stored,
};

function keptRule(stored: unknown): StoredFields {
  if (!isStoredFields(stored)) throw new Error("a rule without a kind was let in");
  return withoutDefaults(stored, ruleOf(stored.kind)?.fields);
}
