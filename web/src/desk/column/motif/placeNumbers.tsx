import { PLACE_FIELDS, type NumberValue, type PlaceValue } from "@twin-petal/core";
import { TableNumber } from "../../fields/tableNumber";

interface PlaceNumbersProps {
  readonly place: Partial<PlaceValue>;
  readonly label: string;
  onSet: (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) => void;
}

/** The four numbers of a place, as part of a sentence. */
export function PlaceNumbers({ place, label, onSet }: PlaceNumbersProps) {
  const number = (key: keyof PlaceValue, words: string) => (
    <TableNumber
      label={`${label} ${words}`}
      stored={place[key]}
      field={PLACE_FIELDS[key]}
      onSet={(value, change, gesture) => onSet(key, value, change, gesture)}
    />
  );
  return (
    <>
      {number("x", "across")} across and {number("y", "down")} down, turned {number("turn", "turn")} and sized{" "}
      {number("size", "size")}
    </>
  );
}
