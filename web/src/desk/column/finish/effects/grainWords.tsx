import { EFFECT, type EffectKind, type Finish, type NumberField, type NumberValue } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { TableNumber } from "../../../fields/tableNumber";

const { amount, size, seed } = EFFECT.grain.fields;

type Grain = NonNullable<Finish[Extract<EffectKind, "grain">]>;

interface GrainWordsProps {
  readonly values: Grain;
  /** What its numbers are called before their own words. */
  readonly name: string;
  onSet: (values: Grain, change: string, gesture?: string) => void;
}

/** What is said of grain, wherever it lies. */
export function GrainWords({ values, name, onSet }: GrainWordsProps) {
  const number = (words: string, key: "amount" | "size" | "seed", field: NumberField) => (
    <TableNumber
      label={`${name} ${words}`}
      stored={values[key]}
      field={field}
      onSet={(next: NumberValue | undefined, change, gesture) =>
        onSet({ ...values, [key]: next ?? field.default }, change, gesture)
      }
    />
  );
  return (
    <>
      <b>{name.charAt(0).toUpperCase() + name.slice(1)}</b> by {number("amount", "amount", amount)} in specks of{" "}
      {number("size", "size", size)},{" "}
      <Choice
        label={`${name} colours`}
        value={values.mono ? "mono" : "many"}
        choices={[
          { value: "mono", words: "light and dark" },
          { value: "many", words: "of many colours" },
        ]}
        onChange={(next) =>
          onSet(
            { ...values, mono: next === "mono" },
            next === "mono" ? `${name} light and dark` : `${name} of many colours`,
          )
        }
      />
      , throw {number("throw", "seed", seed)}
    </>
  );
}
