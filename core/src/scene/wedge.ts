import { arcSegments } from "../geometry/arc";
import { straight } from "../geometry/cubic";
import { boxOfPath, subpathOf, type Path } from "../geometry/path";
import { directionOf, distance, polar, type Point } from "../geometry/point";
import { NO_SURROUNDINGS } from "../motif/drawing";
import type { ActiveRule } from "../rules/compose";
import type { Group } from "../rules/definition";
import { cornersOf, isEmpty } from "../geometry/box";

/** The sector one fold owns, in the space of the motif the first rule repeats: degrees, clockwise from one side to the other. */
export interface Wedge {
  /** Its point. */
  readonly pivot: Point;
  /** Where it begins. */
  readonly from: number;
  /** Where it ends. */
  readonly to: number;
}

/**
 * The wedge of a part's first turn about a point, or half of it where the copies are mirrored before
 * across a line through that point: the half the motif is in. Null when the rules leave no wedge.
 */
export function wedgeOf(rules: readonly ActiveRule[], path: Path, foot: Point): Wedge | null {
  const group: Group = {
    count: 1,
    box: () => boxOfPath(path),
    foot: () => foot,
    outline: () => path,
    reach: () => 0,
    symmetry: () => NEVER,
    surroundings: NO_SURROUNDINGS,
    note: () => undefined,
  };
  const marks = rules.map(({ prepared }) => prepared.marks(group));
  const turnAt = marks.findIndex((own) => own.some(({ kind }) => kind === "wedge"));
  const wedge = marks[turnAt]?.find((mark) => mark.kind === "wedge");
  if (!wedge) return null;
  const mirror = marks
    .slice(0, turnAt)
    .flat()
    .find((mark) => mark.kind === "mirror" && isThrough(mark.through, mark.angle, wedge.pivot));
  if (!mirror || mirror.kind !== "mirror") return wedge;
  const half = (wedge.to - wedge.from) / 2;
  return sideOf(path, wedge.pivot, mirror.angle) > 0
    ? { pivot: wedge.pivot, from: mirror.angle, to: mirror.angle + half }
    : { pivot: wedge.pivot, from: mirror.angle - half, to: mirror.angle };
}

/** The wedge needs no symmetry of the motif; asking for it would be a fault. */
const NEVER = {
  centre: { x: 0, y: 0 },
  isSymmetry: () => false,
};

function isThrough(through: Point, angle: number, point: Point): boolean {
  const unit = polar(1, angle);
  return Math.abs((point.x - through.x) * unit.y - (point.y - through.y) * unit.x) < 1e-6;
}

/** Above 0 where the middle of the motif's box lies clockwise of the line. */
function sideOf(path: Path, pivot: Point, angle: number): number {
  const box = boxOfPath(path);
  if (isEmpty(box)) return 1;
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const offset = ((directionOf(pivot, middle) - angle + 540) % 360) - 180;
  return offset < 0 ? -1 : 1;
}

/** A wedge as an area that reaches beyond an outline. Millimetres. */
export function wedgePath({ pivot, from, to }: Wedge, around: Path): Path {
  const corners = cornersOf(boxOfPath(around));
  const reach = 1.1 * Math.max(1, ...corners.map((corner) => distance(corner, pivot)).filter(Number.isFinite));
  return [
    subpathOf(
      [
        straight(pivot, polar(reach, from, pivot)),
        ...arcSegments(reach, from, to, pivot),
        straight(polar(reach, to, pivot), pivot),
      ],
      true,
    ),
  ];
}
