import { STOP_FIELDS, type FillOfKind, type FillValue } from "@twin-petal/core";
import { Fragment } from "react";
import { TableNumber } from "../../fields/tableNumber";

/** A fill whose colours stand at places from its beginning to its end. */
type StoppedFill = FillOfKind<"ramp"> | FillOfKind<"linear"> | FillOfKind<"radial">;

/** Whether a fill's colours have places of their own. */
export function isStopped(fill: FillValue): fill is StoppedFill {
  return typeof fill === "object" && "stops" in fill;
}

interface StopNumbersProps {
  readonly label: string;
  readonly fill: StoppedFill;
  onChange: (fill: FillValue, change: string, gesture?: string) => void;
}

/** Where the colours of a gradient stand, in words: each to be typed, scrubbed or written as a formula. */
export function StopNumbers({ label, fill, onChange }: StopNumbersProps) {
  return (
    <>
      , the colours at{" "}
      {fill.stops.map(({ at }, index) => (
        <Fragment key={index}>
          {index > 0 && (index === fill.stops.length - 1 ? " and " : ", ")}
          <TableNumber
            label={`place of ${label} colour ${index + 1}`}
            stored={at}
            field={STOP_FIELDS.at}
            onSet={(value, change, gesture) => {
              const stops = fill.stops.map((old, k) =>
                k === index ? { ...old, at: value ?? STOP_FIELDS.at.default } : old,
              );
              onChange({ ...fill, stops }, change, gesture && `${label}/stop${index}/${gesture}`);
            }}
          />
        </Fragment>
      ))}
    </>
  );
}
