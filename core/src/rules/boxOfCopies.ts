import { EMPTY_BOX, joinBoxes, type Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import { boxOfPath, type Path } from "../geometry/path";
import { mostAlong, reachOf, type Reach } from "../geometry/reach";
import { matrixAt, type Placements } from "./placements";

/** Of so many copies one comes first. */
const FIRST_EVERY = 50;

/**
 * The exact box of every copy of its outline, millimetres. A copy whose nodes and handles all stay inside the box
 * found so far cannot enlarge it and is passed over.
 */
export function boxOfCopies(
  shapes: readonly { readonly path: Path }[],
  { count, matrices, shapeOf }: Pick<Placements, "count" | "matrices" | "shapeOf">,
): Box {
  const reaches = shapes.map(({ path }) => reachOf(path));
  let box = EMPTY_BOX;
  const take = (copy: number) => {
    const shape = shapeOf?.[copy] ?? 0;
    const reach = reaches[shape];
    const matrix = matrixAt(matrices, copy);
    if (reach && !staysWithin(reach, matrix, box)) box = joinBoxes(box, boxOfPath(shapes[shape]?.path ?? [], matrix));
  };
  // Some from all over come first: copy after copy, each would reach a little farther than the one before.
  for (let copy = 0; copy < count; copy += FIRST_EVERY) take(copy);
  for (let copy = 0; copy < count; copy++) take(copy);
  return box;
}

function staysWithin(reach: Reach, [a, b, c, d, e, f]: Matrix, { left, top, right, bottom }: Box): boolean {
  return (
    e + mostAlong(reach, a, c) <= right &&
    e - mostAlong(reach, -a, -c) >= left &&
    f + mostAlong(reach, b, d) <= bottom &&
    f - mostAlong(reach, -b, -d) >= top
  );
}
