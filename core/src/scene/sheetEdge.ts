import type { Size } from "../geometry/size";
import { polygonOf, type Subpath } from "../geometry/path";

/** The edge of a sheet, clockwise from its upper left corner. Millimetres. */
export function sheetEdge({ width, height }: Size): Subpath {
  const [x, y] = [width / 2, height / 2];
  return polygonOf([
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ]);
}
