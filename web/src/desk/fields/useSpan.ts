import { designResolver, ruleOf, scopeOf, type SpanReport } from "@twin-petal/core";
import { useNumbers } from "./boundNumber";
import { useFields } from "./fieldsContext";

/** How the copies of the rule whose sentence this is go round; null for rules that do not. */
export function useSpan(): SpanReport | null {
  const { stored } = useFields();
  const resolver = designResolver(scopeOf(useNumbers()));
  const span = ruleOf(stored.kind)?.prepare(stored, resolver, "").span() ?? null;
  return resolver.problems.length === 0 ? span : null;
}
