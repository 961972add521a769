import {
  distance,
  isStraight,
  nodeAt,
  pointAt,
  segmentsOfRun,
  type Cubic,
  type DrawnNode,
  type DrawnPath,
  type HandleSide,
  type Point,
  type SegmentPlace,
} from "@twin-petal/core";

/** Pixels around a mark that still take hold of it. */
export const GRASP = 9;

/** Something of a drawn outline under the pointer. */
type Found =
  | { readonly kind: "node"; readonly number: number }
  | { readonly kind: "handle"; readonly number: number; readonly side: HandleSide }
  | { readonly kind: "segment"; readonly place: SegmentPlace };

/** A handle nearer to its node than this cannot be told apart from it, pixels: it is neither shown nor grasped. */
const APART = 12;
/** A handle is grasped where a node is in reach, too, only if it is nearer by so much, pixels. */
const NEARER = 4;

/** The ends of a node's handles that can be told apart from it on the screen. */
export function handleEnds(node: DrawnNode, screen: (point: Point) => Point): { side: HandleSide; end: Point }[] {
  const at = screen(node);
  return (["in", "out"] as const).flatMap((side) => {
    const handle = node[side];
    if (!handle) return [];
    const end = screen({ x: node.x + handle.x, y: node.y + handle.y });
    return distance(at, end) < APART ? [] : [{ side, end }];
  });
}

/** What of an outline is under a pixel: nodes first, then handles of chosen nodes, then middles of segments. */
export function graspAt(
  pixel: Point,
  paths: readonly DrawnPath[],
  chosen: ReadonlySet<number>,
  screen: (point: Point) => Point,
): Found | null {
  const far = (point: Point) => distance(screen(point), pixel);
  const node = nearest(
    paths
      .flatMap(({ nodes }) => nodes)
      .map((own, number) => ({ found: { kind: "node" as const, number }, far: far(own) })),
  );
  const handle = nearest(
    [...chosen].flatMap((number) => {
      const own = nodeAt(paths, number);
      return (own ? handleEnds(own, screen) : []).map(({ side, end }) => ({
        found: { kind: "handle" as const, number, side },
        far: distance(end, pixel),
      }));
    }),
  );
  if (node && handle) return handle.far + NEARER < node.far ? handle.found : node.found;
  return node?.found ?? handle?.found ?? middleAt(paths, far);
}

/** The nearest of what is in reach. */
function nearest<T extends { readonly far: number }>(known: readonly T[]): T | null {
  return known.reduce<T | null>((best, own) => (own.far < (best?.far ?? GRASP) ? own : best), null);
}

function middleAt(paths: readonly DrawnPath[], far: (point: Point) => number): Found | null {
  for (const [run, path] of paths.entries()) {
    for (const [segment, cubic] of segmentsOfRun(path).entries()) {
      if (far(middleOfSegment(cubic)) < GRASP) return { kind: "segment", place: { run, segment } };
    }
  }
  return null;
}

/** The middle of a segment, where it is pulled. */
export function middleOfSegment(cubic: Cubic): Point {
  const [start, , , end] = cubic;
  return isStraight(cubic) ? { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 } : pointAt(cubic, 0.5);
}
