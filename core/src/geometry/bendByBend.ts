import { at } from "./at";
import { isStraight, straight, tangentAt, type Cubic } from "./cubic";
import { segmentsOf, type Subpath } from "./path";
import { angleBetween } from "./strip/smoothRuns";

/** Directions that differ by less are one, radians. */
const ONE_WAY = 0.02;

/** A bent piece and the straight one after it; null where it goes on into the next bend. */
interface Bend {
  readonly bend: Cubic;
  readonly edge: Cubic | null;
}

/**
 * The pieces of two closed runs side by side where both bend alike, each bend in the same directions, and edges lie between their
 * bends: a rectangle with round corners and one whose corners have taken a side up whole. An edge that is not there is a
 * point. Null where they are no such two, or are alike in all their pieces.
 */
export function bendByBend(a: Subpath, b: Subpath): (readonly [Cubic, Cubic])[] | null {
  const [bendsA, bendsB] = [bendsOf(a), bendsOf(b)];
  if (!bendsA || !bendsB || bendsA.length !== bendsB.length) return null;
  const isSame = bendsA.every(({ bend }, k) => [0, 1].every((end) => isOneWay(bend, at(bendsB, k).bend, end)));
  const differs = bendsA.some(({ edge }, k) => (edge === null) !== (at(bendsB, k).edge === null));
  if (!isSame || !differs) return null;
  return bendsA.flatMap((one, k) => {
    const other = at(bendsB, k);
    const edges = one.edge || other.edge ? [[edgeOf(one), edgeOf(other)] as const] : [];
    return [[one.bend, other.bend] as const, ...edges];
  });
}

const edgeOf = ({ edge, bend: [, , , end] }: Bend) => edge ?? straight(end, end);

function isOneWay(a: Cubic, b: Cubic, end: number): boolean {
  return angleBetween(tangentAt(a, end), tangentAt(b, end)) < ONE_WAY;
}

/** The bends of a closed run in order; null where it has no edge, two in a row, or begins with one. */
function bendsOf(run: Subpath): Bend[] | null {
  const segments = segmentsOf(run);
  const [first] = segments;
  const isEdge = segments.map(isStraight);
  const inRow = isEdge.some((own, k) => own && isEdge[k + 1]);
  if (!run.closed || !first || isStraight(first) || inRow || !isEdge.includes(true)) return null;
  return segments.flatMap((bend, k) => {
    const after = segments[k + 1];
    return isEdge[k] ? [] : [{ bend, edge: after && isEdge[k + 1] ? after : null }];
  });
}
