import type { Box } from "../geometry/box";
import type { Point } from "../geometry/point";
import type { Size } from "../geometry/size";

/** A thin line on a page, millimetres from its upper left corner. */
export type MarkLine = readonly [from: Point, to: Point];

/** How long crop marks are, millimetres. */
export const CROP_LENGTH = 5;
/** How far from what they mark crop marks begin, millimetres. */
export const CROP_AWAY = 1;
const NEAR = 1e-6;
/** A measuring bar's length and the distance of its strokes. */
const BAR = 100;
const STROKE_EVERY = 10;

/** Two lines at each corner of a box, outside of it and of its bleed, those that lie whole where they can be printed. */
export function cropMarks(
  { left, top, right, bottom }: Box,
  bleed: number,
  reached: Box,
  length: { readonly across: number; readonly down: number } = { across: CROP_LENGTH, down: CROP_LENGTH },
): MarkLine[] {
  const away = bleed + CROP_AWAY;
  const lines = [
    { x: left, y: top, across: -1, down: -1 },
    { x: right, y: top, across: 1, down: -1 },
    { x: right, y: bottom, across: 1, down: 1 },
    { x: left, y: bottom, across: -1, down: 1 },
  ].flatMap(({ x, y, across, down }): MarkLine[] => [
    [
      { x: x + across * away, y },
      { x: x + across * (away + length.across), y },
    ],
    [
      { x, y: y + down * away },
      { x, y: y + down * (away + length.down) },
    ],
  ]);
  const isReached = ({ x, y }: Point) =>
    x >= reached.left - NEAR && y >= reached.top - NEAR && x <= reached.right + NEAR && y <= reached.bottom + NEAR;
  return lines.filter((ends) => ends.every(isReached));
}

/** Which sides of a page others join. */
interface Neighbours {
  readonly left: boolean;
  readonly right: boolean;
  readonly top: boolean;
  readonly bottom: boolean;
}

/** Half of a cross's size at most, millimetres. */
const ARM = 2;
/** Strokes that count a page's place are so long, so far apart, and so far from the printed edge, millimetres. */
const COUNT = 2;
const COUNT_AWAY = 1;

/**
 * Crosses in the middle of every overlap, at the same places of the sheet on both pages, and strokes at the left edge that count
 * the page's column, and below them its row: within what is printed, where the page before lies over it or waste is cut off.
 */
export function joinMarks(
  clip: Box,
  overlap: number,
  neighbours: Neighbours,
  { column, row }: { readonly column: number; readonly row: number },
): MarkLine[] {
  const [height, width] = [clip.bottom - clip.top, clip.right - clip.left];
  const down = [clip.top + height * 0.2, clip.top + height * 0.8];
  const across = [clip.left + width * 0.2, clip.left + width * 0.8];
  // In a narrow overlap they are as small as it is: beyond it the printer may not reach.
  const arm = Math.min(ARM, overlap / 2);
  const places = [
    ...(neighbours.left ? down.map((y) => ({ x: clip.left + overlap / 2, y })) : []),
    ...(neighbours.right ? down.map((y) => ({ x: clip.right - overlap / 2, y })) : []),
    ...(neighbours.top ? across.map((x) => ({ x, y: clip.top + overlap / 2 })) : []),
    ...(neighbours.bottom ? across.map((x) => ({ x, y: clip.bottom - overlap / 2 })) : []),
  ];
  const crosses = (overlap > 0 ? places : []).flatMap(({ x, y }): MarkLine[] => [
    [
      { x: x - arm, y },
      { x: x + arm, y },
    ],
    [
      { x, y: y - arm },
      { x, y: y + arm },
    ],
  ]);
  if (neighbours.left && overlap < COUNT_AWAY + COUNT) return crosses;
  const stroke = (place: number): MarkLine => {
    const [x, y] = [clip.left + COUNT_AWAY, clip.top + height / 2 + place * COUNT];
    return [
      { x, y },
      { x: x + COUNT, y },
    ];
  };
  const columns = Array.from({ length: column + 1 }, (_, k) => stroke(k));
  const rows = Array.from({ length: row + 1 }, (_, k) => stroke(column + 3 + k));
  return [...crosses, ...columns, ...rows];
}

/** A bar of 100 mm near the lower edge, a stroke every centimetre, to measure by whether the print has its size. */
export function barOf({ height }: Size, margin: number): MarkLine[] {
  const [left, y] = [margin + 2, height - margin - 2];
  const strokes = Array.from({ length: BAR / STROKE_EVERY + 1 }, (_, k): MarkLine => {
    const x = left + k * STROKE_EVERY;
    return [
      { x, y },
      { x, y: y - (k % 5 === 0 ? 3 : 1.5) },
    ];
  });
  return [
    [
      { x: left, y },
      { x: left + BAR, y },
    ],
    ...strokes,
  ];
}
