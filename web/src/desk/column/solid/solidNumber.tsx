import { SOLID_FIELDS, type NumberField, type SolidValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeSolid } from "@/store/edits/solid";
import { TableNumber } from "../../fields/tableNumber";

/** The numbers a solid has of its own. */
type SolidNumberName = "depth" | "base" | "taper" | "twist" | "sweep" | "through";

interface SolidNumberProps {
  readonly part: string;
  readonly solid: SolidValue;
  readonly of: SolidNumberName;
  readonly label: string;
}

/** One number of a part's solid. */
export function SolidNumber({ part, solid, of, label }: SolidNumberProps) {
  const { edit } = useEditing();
  const field: NumberField = SOLID_FIELDS[of];
  return (
    <TableNumber
      label={label}
      stored={solid[of]}
      field={field}
      onSet={(value, change, gesture) =>
        edit(changeSolid(part, { [of]: value ?? field.default }, change, gesture && `${of}/${gesture}`))
      }
    />
  );
}
