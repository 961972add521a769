import {
  checkLimits,
  MILLIMETRES_PER,
  resolveNumbers,
  scopeOf,
  valueOf,
  type Limits,
  type NumberValue,
  type Quantity,
  type Unit,
} from "@twin-petal/core";
import { useMemo } from "react";
import { useDesign, useDesk } from "@/store/deskStore";
import { setNumber, stepOf } from "@/store/edits/numbers";
import { LiveNumber, type Typed } from "@/ui/liveNumber";
import { parseMeasure } from "./parseMeasure";

/** What the arrow keys add to a length, in the sheet's unit. */
const LENGTH_STEP: Readonly<Record<Unit, number>> = { mm: 1, cm: 0.1, in: 0.05, px: 1, pt: 1 };

export interface BoundNumberProps {
  readonly label: string;
  /** What the design holds; undefined where the default holds. Millimetres or degrees. */
  readonly stored: NumberValue | undefined;
  /** What holds while nothing is stored. */
  readonly standard: number;
  readonly quantity: Quantity;
  readonly limits: Limits;
  readonly step: number;
  readonly follows?: boolean;
  /** Shown behind it in place of its unit. */
  readonly suffix?: string;
  /** Stores a value, or the default by undefined. `change` says what happens, for undo. */
  onSet: (value: NumberValue | undefined, change: string, gesture?: string) => void;
}

/** The design's named numbers, computed. */
export function useNumbers(): ReadonlyMap<string, number> {
  const { numbers } = useDesign();
  return useMemo(() => resolveNumbers(numbers).values, [numbers]);
}

/** A number of the design as a live number: in the sheet's unit, with formulas and named numbers. */
export function BoundNumber(props: BoundNumberProps) {
  const { label, stored, standard, quantity, limits, step, follows = false, suffix, onSet } = props;
  const design = useDesign();
  const edit = useDesk((state) => state.edit);
  const numbers = useNumbers();
  const { unit } = design.sheet;
  const millimetres = quantity === "length" ? MILLIMETRES_PER[unit] : 1;
  const outcome = valueOf(stored ?? standard, limits, scopeOf(numbers));
  const value = "value" in outcome ? outcome.value : standard;
  const formula = typeof stored === "string" ? stored : undefined;
  const named = design.numbers.find(({ name }) => name === formula?.trim());
  const source = typeof named?.value === "number" ? named : undefined;
  const show = (inside: number) => String(Number((inside / millimetres).toFixed(4)));
  const describe = (next: NumberValue) =>
    `${label} ${formula ?? show(value)} → ${typeof next === "string" ? next : show(next)}`;

  const onType = (text: string): Typed => {
    const measured = parseMeasure(text, quantity, unit);
    const next = measured ?? text;
    const checked = measured === null ? valueOf(text, limits, scopeOf(numbers)) : checkLimits(measured, limits);
    if ("trouble" in checked) return checked;
    onSet(next, describe(next));
    return { ok: true };
  };
  const onChange = (next: number, gesture: string) => {
    const inside = Number((next * millimetres).toFixed(6));
    if (source) edit(setNumber(source.name, inside, `${source.name} ${show(value)} → ${show(inside)}`, gesture));
    else onSet(inside, describe(inside), gesture);
  };
  return (
    <LiveNumber
      label={label}
      value={value / millimetres}
      text={formula ?? show(value)}
      unit={suffix ?? unitWords(quantity, unit)}
      step={source ? stepOf(source) : quantity === "length" ? LENGTH_STEP[unit] * step : step}
      min={Math.max(limits.min, source?.min ?? -Infinity) / millimetres}
      max={Math.min(limits.max, source?.max ?? Infinity) / millimetres}
      whole={limits.whole}
      formula={formula}
      pullable={formula === undefined || source !== undefined}
      follows={follows && stored === undefined}
      trouble={"trouble" in outcome ? outcome.trouble : null}
      onChange={onChange}
      onType={onType}
      onDefault={() => onSet(undefined, `${label} back to its default`)}
    />
  );
}

function unitWords(quantity: Quantity, unit: Unit): string {
  if (quantity === "length") return ` ${unit}`;
  return quantity === "angle" ? "°" : "";
}
