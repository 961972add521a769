import Flatbush from "flatbush";
import { isStraight, pointAt, tangentAt, type Cubic } from "../../geometry/cubic";
import { EMPTY_BOX, growBox } from "../../geometry/box";
import { areaOfPath, boxOfPath, segmentsOf, type Path } from "../../geometry/path";
import { distance, type Point } from "../../geometry/point";

/** An opaque area as it is painted, on the sheet. Millimetres. */
export interface PaintedArea {
  /** Its closed runs, filled by the nonzero rule. */
  readonly path: Path;
  /** As `#RRGGBB`. */
  readonly color: string;
  /** The number of its part in the scene. */
  readonly part: number;
}

/** A corner of an area. Radians. */
export interface Corner {
  /** The angle inside. */
  readonly angle: number;
  /** The same as seen from a little way along both sides: at a cusp an area is not as thin as at its tip. */
  readonly opening: number;
}

/** Where a side goes straight on. */
export const NO_CORNER: Corner = { angle: Math.PI, opening: Math.PI };

/** A side of an area. */
export interface Edge {
  /** The curve it is. */
  readonly cubic: Cubic;
  /** The number of its area. */
  readonly area: number;
  /** Which hand of its way the inside is: 1 right as seen on the sheet, −1 left. */
  readonly side: 1 | -1;
  /** The area's corners where it begins and where it ends. */
  readonly corners: readonly [Corner, Corner];
  /** The radius of the largest disc that surely fits in its area, millimetres. */
  readonly room: number;
}

/** Sides shorter than this are none, millimetres. */
const NOTHING = 1e-6;
/** Areas whose boxes are farther apart than twice this do not touch, millimetres. */
const NEAR = 0.5;

/** The sides of areas that come near another, each with what it encloses. */
export function edgesOf(areas: readonly PaintedArea[]): Edge[] {
  const isNearOne = nearness(areas);
  return areas.flatMap(({ path }, area) => {
    const size = isNearOne(area) ? areaOfPath(path) : 0;
    if (size === 0) return [];
    const runs = path.map((run) => segmentsOf(run).filter(([a, b, c, d]) => distance(a, d) + distance(b, c) > NOTHING));
    const around = runs.flat().reduce((sum, [a, , , d]) => sum + distance(a, d), 0);
    const shared = { area, side: size > 0 ? (1 as const) : (-1 as const), room: (2 * Math.abs(size)) / around };
    return runs.flatMap((segments) =>
      segments.map((cubic, k): Edge => {
        const before = segments.at(k - 1) ?? cubic;
        const after = segments[(k + 1) % segments.length] ?? cubic;
        return {
          ...shared,
          cubic,
          corners: [cornerBetween(before, cubic, shared.side), cornerBetween(cubic, after, shared.side)],
        };
      }),
    );
  });
}

/** Tells of an area whether the box of another comes near its own. */
function nearness(areas: readonly PaintedArea[]): (area: number) => boolean {
  if (areas.length < 2) return () => areas.length > 0;
  const boxes = areas.map(({ path }) => growBox(boxOfPath(path), NEAR));
  const index = new Flatbush(areas.length);
  for (const { left, top, right, bottom } of boxes) index.add(left, top, right, bottom);
  index.finish();
  return (area) => {
    const { left, top, right, bottom } = boxes[area] ?? EMPTY_BOX;
    return index.search(left, top, right, bottom).length > 1;
  };
}

function cornerBetween(before: Cubic, after: Cubic, side: 1 | -1): Corner {
  const [corner, from, to] = [after[0], pointAt(before, 0.75), pointAt(after, 0.25)];
  const inner = (m: Point, n: Point) => Math.PI - side * Math.atan2(m.x * n.y - m.y * n.x, m.x * n.x + m.y * n.y);
  return {
    angle: inner(tangentAt(before, 1), tangentAt(after, 0)),
    opening: inner({ x: corner.x - from.x, y: corner.y - from.y }, { x: to.x - corner.x, y: to.y - corner.y }),
  };
}

/** Whether a side is straight. */
export const isStraightEdge = ({ cubic }: Edge) => isStraight(cubic);
