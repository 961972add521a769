import { PLACE_DEFAULT, PLACE_LIMITS, type NumberValue, type PlaceValue } from "@twin-petal/core";
import { BoundNumber } from "../../fields/boundNumber";

interface PlaceNumbersProps {
  readonly place: Partial<PlaceValue>;
  readonly label: string;
  onSet: (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) => void;
}

/** The four numbers of a place, as part of a sentence. */
export function PlaceNumbers({ place, label, onSet }: PlaceNumbersProps) {
  const number = (key: keyof PlaceValue, words: string) => (
    <BoundNumber
      label={`${label} ${words}`}
      stored={place[key]}
      standard={Number(PLACE_DEFAULT[key])}
      quantity={key === "turn" ? "angle" : key === "size" ? "factor" : "length"}
      limits={PLACE_LIMITS[key]}
      step={key === "size" ? 0.01 : 1}
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
