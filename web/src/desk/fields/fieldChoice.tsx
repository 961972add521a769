import { BoundChoice } from "./boundChoice";
import { useField, useFieldLabel } from "./fieldsContext";

interface FieldChoiceProps {
  readonly of: string;
  readonly label?: string;
  /** The words of each choice; the choice itself unless said. */
  readonly words?: Readonly<Record<string, string>>;
}

/** One choice of a motif or a rule. */
export function FieldChoice({ of, label: own = of, words = {} }: FieldChoiceProps) {
  const label = useFieldLabel(own);
  const { field, stored, set } = useField(of, "choice");
  const value = typeof stored === "string" ? stored : field.default;
  const choices = field.choices.map((choice) => ({ value: choice, words: words[choice] ?? choice }));
  const choose = (next: string) => set(next === field.default ? undefined : next, `${label} ${words[next] ?? next}`);
  return <BoundChoice label={label} value={value} choices={choices} onChange={choose} />;
}

/** A yes or no of a motif or a rule, in words. */
export function FieldToggle({ of, label: own, yes, no }: { of: string; label: string; yes: string; no: string }) {
  const label = useFieldLabel(own);
  const { field, stored, set } = useField(of, "toggle");
  const value = (typeof stored === "boolean" ? stored : field.default) ? "yes" : "no";
  const choices = [
    { value: "yes", words: yes },
    { value: "no", words: no },
  ];
  const choose = (next: string) =>
    set((next === "yes") === field.default ? undefined : next === "yes", `${label}: ${next === "yes" ? yes : no}`);
  return <BoundChoice label={label} value={value} choices={choices} onChange={choose} />;
}
