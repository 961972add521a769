import { multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import type { FieldOf, StructureField } from "./field";
import { number } from "./number";
import { record } from "./record";
import type { Resolver } from "./resolver";
import { isRecord, type PlaceValue } from "./stored";

const PLACE = record({
  x: number("length", 0),
  y: number("length", 0),
  turn: number("angle", 0),
  size: number("factor", 1, { min: 0.001, max: 1_000 }),
});

/** Where a thing is unless it is set elsewhere. */
export const PLACE_DEFAULT: PlaceValue = PLACE.complete({});

/** What each number of a place may be, and how it is shown. */
export const PLACE_FIELDS = PLACE.fields;

/** Where a thing is set: sized, then turned about its own origin, then moved. Computed with as a map. */
export const place: StructureField & FieldOf<Matrix, PlaceValue> = { ...PLACE, resolve: resolvePlace };

/** The map of a place; what it leaves out is at its default. */
export function resolvePlace(stored: unknown, resolver: Resolver, path: string): Matrix {
  const { x, y, turn, size } = PLACE.resolve(stored, resolver, path);
  return multiply(translation(x, y), multiply(rotation(turn), scaling(size)));
}

/** A place as those hold it that write only what differs; undefined where nothing does. */
export function briefPlace(stored: unknown): Partial<PlaceValue> | undefined {
  const kept = PLACE.brief(stored);
  return isPartOfPlace(kept) && Object.keys(kept).length > 0 ? kept : undefined;
}

function isPartOfPlace(kept: unknown): kept is Partial<PlaceValue> {
  return isRecord(kept);
}
