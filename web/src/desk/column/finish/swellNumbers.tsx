import { SWELL_FIELDS, type NumberValue, type SwellValue } from "@twin-petal/core";
import { Fragment } from "react";
import { TableNumber } from "../../fields/tableNumber";

interface SwellNumbersProps {
  readonly swell: readonly SwellValue[];
  onChange: (swell: readonly SwellValue[], change: string, gesture?: string) => void;
}

/** The widths along a line in words: each with its place, to be typed, scrubbed or written as a formula. */
export function SwellNumbers({ swell, onChange }: SwellNumbersProps) {
  const number = (index: number, key: "at" | "width", words: string) => {
    const set = (value: NumberValue | undefined, change: string, gesture?: string) =>
      onChange(
        swell.map((place, k) => (k === index ? { ...place, [key]: value ?? SWELL_FIELDS[key].default } : place)),
        change,
        gesture && `swell${index}/${key}/${gesture}`,
      );
    return <TableNumber label={words} stored={swell[index]?.[key]} field={SWELL_FIELDS[key]} onSet={set} />;
  };
  return (
    <span className="block">
      {swell.map((_, index) => (
        <Fragment key={index}>
          {index > 0 && ", "}
          {number(index, "width", `width ${index + 1}`)} at {number(index, "at", `place of width ${index + 1}`)}
        </Fragment>
      ))}
    </span>
  );
}
