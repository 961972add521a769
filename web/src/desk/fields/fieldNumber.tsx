import { isNumberValue } from "@twin-petal/core";
import { BoundNumber } from "./boundNumber";
import { useField, useFieldLabel } from "./fieldsContext";
import { fieldWords } from "./fieldWords";
import { useFault } from "./useFault";
import { useLinked } from "./useLinked";

interface FieldNumberProps {
  readonly of: string;
  /** What it is called; the field's own name unless said. */
  readonly label?: string;
  /** What it comes to while it is not given. */
  readonly following?: number;
  readonly suffix?: string;
}

/** One number of a motif or a rule. */
export function FieldNumber({ of, label: own = fieldWords(of), following = 0, suffix }: FieldNumberProps) {
  const label = useFieldLabel(own);
  const { field, stored, set } = useField(of, "number", "following");
  const linked = useLinked(of, (value) => value);
  const fault = useFault(of);
  return (
    <BoundNumber
      label={label}
      stored={!linked?.follows && isNumberValue(stored) ? stored : undefined}
      standard={linked?.value ?? ("default" in field ? field.default : following)}
      quantity={field.quantity}
      limits={field}
      step={field.step}
      fault={fault}
      follows={linked?.follows || field.type === "following"}
      {...(suffix !== undefined && { suffix })}
      onSet={linked?.follows ? linked.hold : set}
    />
  );
}
