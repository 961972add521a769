import {
  boxOfGeometry,
  boxOfPath,
  growBox,
  matrixAt,
  measuredCopy,
  shapeOfCopy,
  transformPath,
  widestOf,
  type Box,
  type PartScene,
} from "@twin-petal/core";

/** A whole so many times as long as it is wide is shown by its middle, so much of it as it is wide. */
const LONG = 3;
const OF_LONG = 2.6;
/** Copies that cover less than this share of what they lie on are shown by a few of them. */
const SPARSE = 0.06;
/** So much is shown of them, in copies' sizes. */
const FEW = 7;
/** More copies are not looked at: they are dense enough. */
const MOST = 400;

/** What a part's tile shows, millimetres: all of it, or of what would be too small to be told apart a telling piece. */
export function tileBox(part: Pick<PartScene, "name" | "geometry" | "finish">): Box {
  const { geometry, finish } = part;
  const whole = growBox(boxOfGeometry(geometry), (finish.line ? widestOf(finish.line) : 0) / 2);
  const [width, height] = [whole.right - whole.left, whole.bottom - whole.top];
  const [longer, shorter] = [Math.max(width, height), Math.min(width, height)];
  const middle = { x: (whole.left + whole.right) / 2, y: (whole.top + whole.bottom) / 2 };
  const copies = boxesOfCopies(geometry);
  const sizes = copies.map(sideOf).sort((a, b) => a - b);
  const usual = sizes[Math.floor(sizes.length / 2)] ?? 0;
  if (copies.length > 2 && usual * FEW < longer && isSparse(part, copies.length, width * height)) {
    const near = copies.reduce((best, box) => (farFrom(box, middle) < farFrom(best, middle) ? box : best));
    return squareAbout((near.left + near.right) / 2, (near.top + near.bottom) / 2, usual * FEW);
  }
  return longer > LONG * shorter && shorter > 0 ? squareAbout(middle.x, middle.y, shorter * OF_LONG) : whole;
}

function boxesOfCopies(geometry: PartScene["geometry"]): Box[] {
  const { placements } = geometry;
  if (placements.count > MOST) return [];
  return Array.from({ length: placements.count }, (_, copy) =>
    boxOfPath(transformPath(shapeOfCopy(geometry, copy).path, matrixAt(placements.matrices, copy))),
  );
}

function isSparse(part: Pick<PartScene, "name" | "geometry">, count: number, ground: number): boolean {
  const covered = Array.from({ length: count }, (_, copy) => measuredCopy(part, copy)?.area ?? 0);
  return covered.reduce((sum, area) => sum + area, 0) < SPARSE * ground;
}

const sideOf = ({ left, top, right, bottom }: Box) => Math.max(right - left, bottom - top);

const farFrom = ({ left, top, right, bottom }: Box, { x, y }: { readonly x: number; readonly y: number }) =>
  Math.hypot((left + right) / 2 - x, (top + bottom) / 2 - y);

function squareAbout(x: number, y: number, side: number): Box {
  return { left: x - side / 2, right: x + side / 2, top: y - side / 2, bottom: y + side / 2 };
}
