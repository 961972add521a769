import { isNumberValue, isPair, type NumberValue } from "@twin-petal/core";
import { BoundNumber } from "./boundNumber";
import { useEditing } from "@/store/deskStore";
import { ownerKey } from "@/store/edits/owners";
import { setField } from "@/store/edits/rules";
import { useField, useFieldLabel, useFields } from "./fieldsContext";
import { useFault } from "./useFault";
import { useLinked } from "./useLinked";
import { WordButton } from "./wordButton";

interface FieldPairProps {
  readonly of: string;
  readonly label?: string;
  /** What the two are called. */
  readonly names?: readonly [x: string, y: string];
  /** What parts one number into two: "as an ellipse". */
  readonly apart?: string;
}

/** Two numbers that belong together, or one that stands for both. */
export function FieldPair({ of, label: own = of, names = ["across", "down"], apart }: FieldPairProps) {
  const label = useFieldLabel(own);
  const { field, stored, set } = useField(of, "pair");
  const { part, owner } = useFields();
  const { edit } = useEditing();
  const both = isNumberValue(stored) ? stored : undefined;
  const two = isPair(stored) ? stored : null;
  const one = field.single && !two;
  const x: NumberValue = two?.x ?? both ?? field.default.x;
  const y: NumberValue = two?.y ?? both ?? field.default.y;
  const linkedX = useLinked(`${of}.x`, (next) => (one ? next : { x: isNumberValue(next) ? next : x, y }));
  const linkedY = useLinked(`${of}.y`, (next) => ({ x, y: isNumberValue(next) ? next : y }));
  /** One side alone, so that two sides changed at once do not undo each other. */
  const setSide = (side: "x" | "y", next: NumberValue, change: string, gesture?: string) => {
    if (!two) return set(side === "x" ? { x: next, y } : { x, y: next }, change, gesture);
    const key = gesture && `${part}/${ownerKey(owner)}/${of}.${side}/${gesture}`;
    edit(setField(part, owner, `${of}.${side}`, next, change, key));
  };
  const fault = useFault(of);
  const common = { quantity: field.quantity, limits: field, step: field.step, fault };
  if (one) {
    return (
      <>
        <BoundNumber
          label={label}
          stored={linkedX?.follows ? undefined : both}
          standard={linkedX?.value ?? field.default.x}
          follows={linkedX?.follows ?? false}
          {...common}
          onSet={linkedX?.follows ? linkedX.hold : set}
        />
        {apart && (
          <WordButton onClick={() => set({ x, y }, `${label} ${apart}`)} title={`Two numbers: ${names.join(" and ")}`}>
            {apart}
          </WordButton>
        )}
      </>
    );
  }
  return (
    <>
      <BoundNumber
        label={`${label} ${names[0]}`}
        stored={linkedX?.follows ? undefined : x}
        standard={linkedX?.value ?? field.default.x}
        follows={linkedX?.follows ?? false}
        {...common}
        onSet={
          linkedX?.follows
            ? linkedX.hold
            : (next, change, gesture) => setSide("x", next ?? field.default.x, change, gesture)
        }
      />{" "}
      {names[0]} and{" "}
      <BoundNumber
        label={`${label} ${names[1]}`}
        stored={linkedY?.follows ? undefined : y}
        standard={linkedY?.value ?? field.default.y}
        follows={linkedY?.follows ?? false}
        {...common}
        onSet={
          linkedY?.follows
            ? linkedY.hold
            : (next, change, gesture) => setSide("y", next ?? field.default.y, change, gesture)
        }
      />{" "}
      {names[1]}
      {field.single && <WordButton onClick={() => set(x, `${label} as one number`)}>as one</WordButton>}
    </>
  );
}
