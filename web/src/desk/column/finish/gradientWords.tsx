import {
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  STOP,
  type GradientFill,
  type Limits,
  type LineGradientOver,
  type NumberValue,
  type Quantity,
} from "@twin-petal/core";
import { BoundNumber } from "../../fields/boundNumber";
import { OverChoice } from "./overChoice";

interface GradientWordsProps {
  readonly label: string;
  readonly fill: GradientFill;
  /** What it may lie over, where there is a choice. */
  readonly overs: readonly LineGradientOver[];
  onChange: (fill: GradientFill, change: string, gesture?: string) => void;
}

/** Where a gradient goes, where its colours meet, and over what it lies. */
export function GradientWords({ label, fill, overs, onChange }: GradientWordsProps) {
  const number = (
    name: string,
    stored: NumberValue,
    standard: number,
    quantity: Quantity,
    limits: Limits,
    withValue: (value: NumberValue) => GradientFill,
  ) => (
    <BoundNumber
      label={`${label} ${name}`}
      stored={stored}
      standard={standard}
      quantity={quantity}
      limits={limits}
      step={quantity === "angle" ? 5 : 0.05}
      onSet={(value, change, gesture) => onChange(withValue(value ?? standard), change, gesture)}
    />
  );
  const offered = fill.kind === "linear" ? overs : overs.filter((over) => over !== "line");
  return (
    <>
      {fill.kind === "linear" ? (
        fill.over !== "line" && (
          <> at {number("angle", fill.angle, 0, "angle", GRADIENT_ANGLE, (angle) => ({ ...fill, angle }))}</>
        )
      ) : (
        <>
          {" "}
          at{" "}
          {number("centre across", fill.center.x, 0.5, "factor", GRADIENT_PLACE, (x) => ({
            ...fill,
            center: { ...fill.center, x },
          }))}{" "}
          across and{" "}
          {number("centre down", fill.center.y, 0.5, "factor", GRADIENT_PLACE, (y) => ({
            ...fill,
            center: { ...fill.center, y },
          }))}{" "}
          down, reaching {number("reach", fill.radius, 1, "factor", GRADIENT_RADIUS, (radius) => ({ ...fill, radius }))}
        </>
      )}
      , half and half at {number("midpoint", fill.midpoint, 0.5, "share", STOP, (midpoint) => ({ ...fill, midpoint }))}
      <OverChoice
        label={`${label} gradient`}
        value={fill.over}
        overs={offered}
        onChange={(over, words) => onChange({ ...fill, over }, `${label} ${words}`)}
      />
    </>
  );
}
