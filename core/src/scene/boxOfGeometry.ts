import type { Box } from "../geometry/box";
import { boxOfCopies } from "../rules/boxOfCopies";
import type { PartGeometry } from "./scene";

const remembered = new WeakMap<PartGeometry, Box>();

/** The box of a part's outlines, lines' widths aside, millimetres. Computed once for each geometry. */
export function boxOfGeometry(geometry: PartGeometry): Box {
  const known = remembered.get(geometry);
  if (known) return known;
  const box = boxOfCopies(geometry.shapes, geometry.placements);
  remembered.set(geometry, box);
  return box;
}
