import { resolveDesign, tidy, type Design, type NumberValue, type PlaceValue } from "@twin-petal/core";

/** What is doubled lands so much of the sheet's width beside. */
const SHARE = 20;

/** A place a little to the right and down, so that what stands there is seen beside what stood there before. */
export function besides(design: Design, at: PlaceValue): PlaceValue {
  const by = tidy(resolveDesign(design).sheet.width / SHARE);
  const moved = (value: NumberValue): NumberValue =>
    typeof value === "number" ? tidy(value + by) : `(${value}) + ${by}`;
  return { ...at, x: moved(at.x), y: moved(at.y) };
}
