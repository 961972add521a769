import { tidy, type NumberValue, type PlaceValue, type Point } from "@twin-petal/core";

/** A place moved on by so much, millimetres; formulas go on meaning what they did. */
export function movedPlace(at: PlaceValue, by: Point): PlaceValue {
  return { ...at, x: plus(at.x, by.x), y: plus(at.y, by.y) };
}

function plus(stored: NumberValue, by: number): NumberValue {
  if (Math.abs(by) < 1e-9) return stored;
  return typeof stored === "number" ? tidy(stored + by) : `(${stored}) + ${tidy(by)}`;
}
