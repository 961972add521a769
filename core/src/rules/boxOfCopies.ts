import { EMPTY_BOX, joinBoxes, type Box } from "../geometry/box";
import { boxOfPath, type Path } from "../geometry/path";
import { matrixAt, type Placements } from "./placements";

/**
 * The exact box of every copy of its outline, millimetres. A copy whose handles all stay inside the box
 * found so far cannot enlarge it and is passed over.
 */
export function boxOfCopies(
  shapes: readonly { readonly path: Path }[],
  { count, matrices, shapeOf }: Pick<Placements, "count" | "matrices" | "shapeOf">,
): Box {
  const reaches = shapes.map(({ path }) => reachOf(path));
  let box = EMPTY_BOX;
  for (let copy = 0; copy < count; copy++) {
    const shape = shapeOf?.[copy] ?? 0;
    const reach = reaches[shape] ?? 0;
    const [a, b, c, d, e, f] = matrixAt(matrices, copy);
    const across = (Math.abs(a) + Math.abs(c)) * reach;
    const down = (Math.abs(b) + Math.abs(d)) * reach;
    const inside = e - across >= box.left && e + across <= box.right && f - down >= box.top && f + down <= box.bottom;
    if (!inside) box = joinBoxes(box, boxOfPath(shapes[shape]?.path ?? [], [a, b, c, d, e, f]));
  }
  return box;
}

/** The greatest coordinate of an outline, millimetres. */
function reachOf(path: Path): number {
  let reach = 0;
  for (const { coordinates } of path) {
    for (const coordinate of coordinates) reach = Math.max(reach, Math.abs(coordinate));
  }
  return reach;
}
