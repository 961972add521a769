import { color } from "../fields/color";
import type { StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { list } from "../fields/list";
import { number } from "../fields/number";
import { record } from "../fields/record";

/** A colour at a place of a ramp or a gradient, 0…1. */
export interface Stop {
  /** A share of the way, 0…1. */
  readonly at: number;
  /** As `#RRGGBB` or `#RRGGBBAA`. */
  readonly color: string;
}

const STOP = record({ at: given(number("share", 0)), color: given(color()) });
/** What one stop holds. */
export const STOP_FIELDS = STOP.fields;

/** A colour at a place, as a design holds it. */
type StopValue = StoredOf<typeof STOP.fields>;

/** The stops of a ramp or a gradient: one at least. */
export const STOPS = given(list(STOP, { least: 1, most: 100 }));

/** Colours at even distances; where there are as many as before, each keeps its place. */
export function stopsOf(colors: readonly string[], before: readonly StopValue[]): StopValue[] {
  const last = Math.max(1, colors.length - 1);
  const kept = before.length === colors.length ? before : [];
  return colors.map((own, index) => ({ at: kept[index]?.at ?? index / last, color: own }));
}

/** The stops of a stored fill, whatever its kind; none where it has none. */
export function stopsIn(stored: object): readonly StopValue[] {
  return "stops" in stored && isStops(stored.stops) ? stored.stops : [];
}

function isStops(stored: unknown): stored is readonly StopValue[] {
  return Array.isArray(stored);
}
