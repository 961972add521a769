import {
  isStraight,
  nodeAt,
  pointAt,
  segmentsOfRun,
  type Cubic,
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

/** What of an outline is under a pixel: handles of chosen nodes first, then nodes, then middles of segments. */
export function graspAt(
  pixel: Point,
  paths: readonly DrawnPath[],
  chosen: ReadonlySet<number>,
  screen: (point: Point) => Point,
): Found | null {
  const distanceTo = (point: Point) => {
    const at = screen(point);
    return Math.hypot(at.x - pixel.x, at.y - pixel.y);
  };
  return handleAt(paths, chosen, distanceTo) ?? nodeUnder(paths, distanceTo) ?? middleAt(paths, distanceTo);
}

type DistanceTo = (point: Point) => number;

function handleAt(paths: readonly DrawnPath[], chosen: ReadonlySet<number>, distanceTo: DistanceTo): Found | null {
  for (const number of chosen) {
    const node = nodeAt(paths, number);
    for (const side of ["in", "out"] as const) {
      const handle = node?.[side];
      if (node && handle && distanceTo({ x: node.x + handle.x, y: node.y + handle.y }) < GRASP) {
        return { kind: "handle", number, side };
      }
    }
  }
  return null;
}

function nodeUnder(paths: readonly DrawnPath[], distanceTo: DistanceTo): Found | null {
  const near = paths
    .flatMap(({ nodes }) => nodes)
    .map((node, number) => ({ number, far: distanceTo(node) }))
    .filter(({ far }) => far < GRASP)
    .sort((a, b) => a.far - b.far);
  const [nearest] = near;
  return nearest ? { kind: "node", number: nearest.number } : null;
}

function middleAt(paths: readonly DrawnPath[], distanceTo: DistanceTo): Found | null {
  for (const [run, path] of paths.entries()) {
    for (const [segment, cubic] of segmentsOfRun(path).entries()) {
      if (distanceTo(middleOfSegment(cubic)) < GRASP) return { kind: "segment", place: { run, segment } };
    }
  }
  return null;
}

/** The middle of a segment, where it is pulled. */
export function middleOfSegment(cubic: Cubic): Point {
  const [start, , , end] = cubic;
  return isStraight(cubic) ? { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 } : pointAt(cubic, 0.5);
}
