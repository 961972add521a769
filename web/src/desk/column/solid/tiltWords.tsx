import { SOLID_FIELDS, type SolidValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeSolid } from "@/store/edits/solid";
import { TableNumber } from "../../fields/tableNumber";

/** Each copy about its foot, or the whole about its origin. */
type Tilting = "tilt" | "stand";

const AXES = [
  { axis: "x", before: "tip raised by ", label: "tip raised" },
  { axis: "y", before: ", right side by ", label: "right side raised" },
  { axis: "z", before: ", turned by ", label: "turned about its foot" },
] as const;

/** Three angles: the tip rises, the right side rises, turned as seen from above. */
export function TiltWords({ part, solid, of }: { part: string; solid: SolidValue; of: Tilting }) {
  const { edit } = useEditing();
  const tilt = solid[of];
  return AXES.map(({ axis, before, label }) => (
    <span key={axis}>
      {before}
      <TableNumber
        label={of === "tilt" ? label : `whole ${label}`}
        stored={tilt[axis]}
        field={SOLID_FIELDS[of].fields[axis]}
        onSet={(value, change, gesture) =>
          edit(
            changeSolid(part, { [of]: { ...tilt, [axis]: value ?? 0 } }, change, gesture && `${of}-${axis}/${gesture}`),
          )
        }
      />
    </span>
  ));
}
