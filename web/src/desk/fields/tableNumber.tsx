import type { NumberField } from "@twin-petal/core";
import { BoundNumber, type BoundNumberProps } from "./boundNumber";

interface TableNumberProps extends Omit<BoundNumberProps, "standard" | "quantity" | "limits" | "step"> {
  /** What the design's own table says of it: its quantity, limits, step and default. */
  readonly field: NumberField;
  /** What a double click brings back; the field's default unless said. */
  readonly standard?: number;
}

/** A number of the design that stands in one of its field tables. */
export function TableNumber({ field, standard = field.default, ...props }: TableNumberProps) {
  return <BoundNumber {...props} standard={standard} quantity={field.quantity} limits={field} step={field.step} />;
}
