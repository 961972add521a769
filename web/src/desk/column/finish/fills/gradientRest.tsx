import type { FillOfKind, NumberField } from "@twin-petal/core";
import { TableNumber } from "../../../fields/tableNumber";
import { OverChoice } from "../overChoice";
import type { FillPanelProps } from "./definition";

type GradientFill = FillOfKind<"linear"> | FillOfKind<"radial">;

interface GradientRestProps<F> extends Pick<FillPanelProps<F>, "label" | "fill" | "overs" | "onChange"> {
  readonly midpoint: NumberField;
}

/** Laid over the whole anew, what goes out from a point goes out from where the copies turn about. */
function about(fill: GradientFill, over: GradientFill["over"]): { about?: "pivot" } {
  return "about" in fill && over === "whole" && fill.over !== "whole" ? { about: "pivot" } : {};
}

/** Where a gradient's colours meet, and over what it lies. */
export function GradientRest<F extends GradientFill>({ label, fill, midpoint, overs, onChange }: GradientRestProps<F>) {
  return (
    <>
      , half and half at{" "}
      <TableNumber
        label={`${label} midpoint`}
        stored={fill.midpoint}
        field={midpoint}
        onSet={(value, change, gesture) => onChange({ ...fill, midpoint: value ?? midpoint.default }, change, gesture)}
      />
      <OverChoice
        label={`${label} gradient`}
        value={fill.over}
        overs={overs}
        onChange={(over, words) => onChange({ ...fill, over, ...about(fill, over) }, `${label} ${words}`)}
      />
    </>
  );
}
