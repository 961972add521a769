import type { Box } from "../geometry/box";
import type { Point } from "../geometry/point";
import type { Size } from "../geometry/size";

/** A thin line on a page, millimetres from its upper left corner. */
export type MarkLine = readonly [from: Point, to: Point];

/** How long crop marks are, and how far from what they mark, millimetres. */
const LENGTH = 5;
const AWAY = 1;
/** A measuring bar's length and the distance of its strokes. */
const BAR = 100;
const STROKE_EVERY = 10;

/** Two lines at each corner of a box, outside of it and of its bleed, as far as they are on the paper. */
export function cropMarks({ left, top, right, bottom }: Box, bleed: number, { width, height }: Size): MarkLine[] {
  const away = bleed + AWAY;
  const lines = [
    { x: left, y: top, across: -1, down: -1 },
    { x: right, y: top, across: 1, down: -1 },
    { x: right, y: bottom, across: 1, down: 1 },
    { x: left, y: bottom, across: -1, down: 1 },
  ].flatMap(({ x, y, across, down }): MarkLine[] => [
    [
      { x: x + across * away, y },
      { x: x + across * (away + LENGTH), y },
    ],
    [
      { x, y: y + down * away },
      { x, y: y + down * (away + LENGTH) },
    ],
  ]);
  const isOnPaper = ({ x, y }: Point) => x >= 0 && y >= 0 && x <= width && y <= height;
  return lines.filter(([from, to]) => isOnPaper(from) && isOnPaper(to));
}

/** Which sides of a page others join. */
interface Neighbours {
  readonly left: boolean;
  readonly right: boolean;
  readonly top: boolean;
  readonly bottom: boolean;
}

/** Half of a cross's size, millimetres. */
const ARM = 2;
/** Strokes in the margin that count a page's place are so long and so far apart. */
const COUNT = 2;

/**
 * Crosses in the middle of every overlap, at the same places of the sheet on both pages, and strokes in the margin that count
 * the page's column (above) and row (at its left).
 */
export function joinMarks(
  clip: Box,
  overlap: number,
  neighbours: Neighbours,
  { column, row, margin }: { readonly column: number; readonly row: number; readonly margin: number },
): MarkLine[] {
  const [height, width] = [clip.bottom - clip.top, clip.right - clip.left];
  const down = [clip.top + height * 0.2, clip.top + height * 0.8];
  const across = [clip.left + width * 0.2, clip.left + width * 0.8];
  const crosses = [
    ...(neighbours.left ? down.map((y) => ({ x: clip.left + overlap / 2, y })) : []),
    ...(neighbours.right ? down.map((y) => ({ x: clip.right - overlap / 2, y })) : []),
    ...(neighbours.top ? across.map((x) => ({ x, y: clip.top + overlap / 2 })) : []),
    ...(neighbours.bottom ? across.map((x) => ({ x, y: clip.bottom - overlap / 2 })) : []),
  ].flatMap(({ x, y }): MarkLine[] => [
    [
      { x: x - ARM, y },
      { x: x + ARM, y },
    ],
    [
      { x, y: y - ARM },
      { x, y: y + ARM },
    ],
  ]);
  if (margin < COUNT + 1) return crosses;
  const columns = Array.from({ length: column + 1 }, (_, k): MarkLine => {
    const x = clip.left + k * COUNT;
    return [
      { x, y: clip.top - 0.5 },
      { x, y: clip.top - 0.5 - COUNT },
    ];
  });
  const rows = Array.from({ length: row + 1 }, (_, k): MarkLine => {
    const y = clip.top + k * COUNT;
    return [
      { x: clip.left - 0.5, y },
      { x: clip.left - 0.5 - COUNT, y },
    ];
  });
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
