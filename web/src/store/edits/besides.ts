import { resolveDesign, tidy, type Design, type PlaceValue } from "@twin-petal/core";
import { movedPlace } from "./moved";

/** What is doubled lands so much of the sheet's width beside. */
const SHARE = 20;

/** A place a little to the right and down, so that what stands there is seen beside what stood there before. */
export function besides(design: Design, at: PlaceValue): PlaceValue {
  const by = tidy(resolveDesign(design).sheet.width / SHARE);
  return movedPlace(at, { x: by, y: by });
}
