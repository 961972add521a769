import type { NumberField, NumberValue } from "@twin-petal/core";
import { TableNumber } from "@/desk/fields/tableNumber";
import { useEditing } from "@/store/deskStore";
import type { Edit } from "@/store/edit";

interface MakingNumberProps {
  /** The setting's name, by which its changes are one gesture. */
  readonly of: string;
  readonly label: string;
  readonly stored: NumberValue;
  readonly field: NumberField;
  readonly suffix?: string | undefined;
  /** The edit that sets it. */
  set: (value: NumberValue, label: string, gesture?: string) => Edit;
}

/** A number of how things are made, in a sentence. */
export function MakingNumber({ of, label, stored, field, suffix, set }: MakingNumberProps) {
  const { edit } = useEditing();
  return (
    <TableNumber
      label={label}
      stored={stored}
      field={field}
      {...(suffix !== undefined && { suffix })}
      onSet={(value, change, gesture) => edit(set(value ?? field.default, change, gesture && `${of}/${gesture}`))}
    />
  );
}
