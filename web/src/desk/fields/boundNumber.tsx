import { useId } from "react";
import {
  checkLimits,
  MILLIMETRES_PER,
  scopeOf,
  valueOf,
  type Limits,
  type NumberValue,
  type Quantity,
  type Unit,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setNumber, stepOf } from "@/store/edits/numbers";
import { LiveNumber, type Typed } from "@/ui/liveNumber";
import { parseMeasure } from "./parseMeasure";
import { useAtHand } from "./useAtHand";
import { useNumbers } from "./useNumbers";

/** What the arrow keys add to a length, in the sheet's unit. */
export const LENGTH_STEP: Readonly<Record<Unit, number>> = { mm: 1, cm: 0.1, in: 0.05, px: 1, pt: 1 };

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
  /** What is wrong with it beside others, in words. */
  readonly fault?: string | null;
  /** Shown behind it in place of its unit. */
  readonly suffix?: string;
  /** Stores a value, or the default by undefined. `change` says what happens, for undo. */
  onSet: (value: NumberValue | undefined, change: string, gesture?: string) => void;
}

/** A number of the design as a live number: in the sheet's unit, with formulas and named numbers. */
export function BoundNumber(props: BoundNumberProps) {
  const { label, stored, standard, quantity, limits, step, follows = false, fault = null, suffix, onSet } = props;
  const { edit } = useEditing();
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const named = useDesk((state) => state.history.design.numbers).find(({ name }) => name === formulaOf(stored)?.trim());
  const numbers = useNumbers();
  const millimetres = quantity === "length" ? MILLIMETRES_PER[unit] : 1;
  const outcome = valueOf(stored ?? standard, limits, scopeOf(numbers));
  const value = "value" in outcome ? outcome.value : standard;
  const formula = formulaOf(stored);
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
  const touch = useAtHand({
    kind: "number",
    id: useId(),
    label,
    value: value / millimetres,
    step: source ? stepOf(source) : quantity === "length" ? LENGTH_STEP[unit] * step : step,
    min: Math.max(limits.min, source?.min ?? -Infinity) / millimetres,
    max: Math.min(limits.max, source?.max ?? Infinity) / millimetres,
    whole: limits.whole,
    nameable: formula === undefined,
    stored: value,
    show: (shown) => `${Number(shown.toFixed(4))}${suffix ?? unitWords(quantity, unit)}`,
    set(next) {
      const inside = Number((next * millimetres).toFixed(6));
      if (source) edit(setNumber(source.name, inside, `${source.name} ${show(value)} → ${show(inside)}`));
      else onSet(inside, describe(inside));
    },
    setFormula: (text) => onSet(text, describe(text)),
  });
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
      trouble={"trouble" in outcome ? outcome.trouble : fault}
      onChange={onChange}
      onType={onType}
      onTouched={touch}
      onDefault={() => onSet(undefined, `${label} back to its default`)}
    />
  );
}

function formulaOf(stored: NumberValue | undefined): string | undefined {
  return typeof stored === "string" ? stored : undefined;
}

function unitWords(quantity: Quantity, unit: Unit): string {
  if (quantity === "length") return ` ${unit}`;
  return quantity === "angle" ? "°" : "";
}
