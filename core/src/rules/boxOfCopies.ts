import { EMPTY_BOX, joinBoxes, type Box } from "../geometry/box";
import { boxOfPath, type Path } from "../geometry/path";
import { matrixAt, type Placements } from "./placements";

/**
 * The exact box of every copy of a path, millimetres. A copy whose handles all stay inside the box
 * found so far cannot enlarge it and is passed over.
 */
export function boxOfCopies(path: Path, { count, matrices }: Pick<Placements, "count" | "matrices">): Box {
  const reach = Math.max(0, ...path.flatMap(({ coordinates }) => coordinates.map(Math.abs)));
  let box = EMPTY_BOX;
  for (let copy = 0; copy < count; copy++) {
    const [a, b, c, d, e, f] = matrixAt(matrices, copy);
    const across = (Math.abs(a) + Math.abs(c)) * reach;
    const down = (Math.abs(b) + Math.abs(d)) * reach;
    const inside = e - across >= box.left && e + across <= box.right && f - down >= box.top && f + down <= box.bottom;
    if (!inside) box = joinBoxes(box, boxOfPath(path, [a, b, c, d, e, f]));
  }
  return box;
}
