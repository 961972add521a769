import type { ActiveRule } from "./compose";

/** The rule that makes most copies, and where in the part its number of them stands: `rules[1].count`. */
export function mostCopying(
  rules: readonly ActiveRule[],
): { readonly rule: ActiveRule; readonly field: string } | null {
  const [first, ...others] = rules;
  if (!first) return null;
  const rule = others.reduce((most, other) => (other.prepared.copies > most.prepared.copies ? other : most), first);
  const { number, prepared } = rule;
  return { rule, field: `rules[${number}]${prepared.drivenBy === "" ? "" : `.${prepared.drivenBy}`}` };
}
