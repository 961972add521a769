import { SHEET } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { useNamed } from "./useNamed";
import { useField, useFieldLabel, useFields } from "./fieldsContext";

interface FieldPartProps {
  readonly of: string;
  readonly label?: string;
  /** Offered beside the parts: the whole sheet, or nothing. */
  readonly sheet?: true;
  readonly none?: string;
}

/** Another part, named in a sentence. */
export function FieldPart({ of, label: own = of, sheet, none }: FieldPartProps) {
  const label = useFieldLabel(own);
  const { field, stored, set } = useField(of, "part");
  const { part } = useFields();
  const named = useNamed(part);
  const value = typeof stored === "string" ? stored : field.default;
  const choices = [
    ...(none === undefined ? [] : [{ value: "", words: none }]),
    ...(sheet ? [{ value: SHEET, words: "the whole sheet" }] : []),
    ...named.map(({ id, name }) => ({ value: id, words: name })),
  ];
  const known = choices.some((choice) => choice.value === value);
  const words = value === "" ? "choose a part" : `a part that is gone (${value})`;
  return (
    <Choice
      label={label}
      value={value}
      choices={known ? choices : [...choices, { value, words }]}
      onChange={(next) =>
        set(
          next === field.default ? undefined : next,
          `${label}: ${choices.find((choice) => choice.value === next)?.words ?? next}`,
        )
      }
    />
  );
}
