import type { ActiveRule } from "./compose";

/** Where in a part it stands how many copies the rule makes that makes most: `rules[1].count`; null without rules. */
export function mostCopying(rules: readonly ActiveRule[]): string | null {
  const [first, ...others] = rules;
  if (!first) return null;
  const { number, prepared } = others.reduce(
    (most, other) => (other.prepared.copies > most.prepared.copies ? other : most),
    first,
  );
  return `rules[${number}]${prepared.drivenBy === "" ? "" : `.${prepared.drivenBy}`}`;
}
