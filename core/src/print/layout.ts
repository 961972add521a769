import type { ResolvedMaking } from "../design/makingFields";
import type { Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";
import type { Size } from "../geometry/size";
import { barOf, cropMarks, CROP_AWAY, CROP_LENGTH, joinMarks, type MarkLine } from "./marks";

/** How a sheet is printed. */
export type PrintSettings = ResolvedMaking["print"];

/** A piece of the sheet on a page. */
export interface PageWindow {
  /** From the sheet's millimetres, about its middle, to the page's, from its upper left corner. */
  readonly matrix: Matrix;
  /** What is printed of it, millimetres on the page. */
  readonly clip: Box;
  /** The sheet's own edge, or what of it is on this page. */
  readonly trim: Box;
}

/** One page. Millimetres from its upper left corner, y down. */
export interface PrintPage {
  /** What of the sheet is on it. */
  readonly windows: readonly PageWindow[];
  /** What is left when it is trimmed: the sheet, or the whole page where several are on it. */
  readonly trim: Box;
  /** The same with the bleed. */
  readonly bleed: Box;
  /** Lines to cut, join and measure by. */
  readonly marks: readonly MarkLine[];
}

/** How a sheet lies on pages. */
export interface PrintLayout {
  /** The pages' size, millimetres. */
  readonly paper: Size;
  /** How many pages lie beside each other. */
  readonly across: number;
  /** How many lie below each other. */
  readonly down: number;
  /** Row by row, each from left to right. */
  readonly pages: readonly PrintPage[];
  /** How far what is asked leaves the printed part of the page, millimetres; 0 where it fits. */
  readonly beyond: number;
}

const NEAR = 1e-6;
/** What crop marks take beside a sheet and its bleed, millimetres, and the least that is enough to cut by. */
const CROP_ROOM = CROP_AWAY + CROP_LENGTH;
const SHORTEST_CROP_ROOM = CROP_AWAY + 2;

/** What the printer can reach of a page, millimetres. */
function printedOf({ paper, margin }: PrintSettings): Size {
  return { width: paper.width - 2 * margin, height: paper.height - 2 * margin };
}

/** The sheet as it lies on paper, millimetres. */
function laidSize({ width, height }: Size, { scale, turned }: PrintSettings): Size {
  return turned ? { width: height * scale, height: width * scale } : { width: width * scale, height: height * scale };
}

/** How many sheets fit beside and below each other on one page, at least one. */
export function mostOnPage(sheet: Size, settings: PrintSettings): { readonly columns: number; readonly rows: number } {
  const [printed, laid] = [printedOf(settings), laidSize(sheet, settings)];
  const fitting = (room: number, size: number) =>
    Math.max(1, Math.floor((room + settings.gap + NEAR) / (size + settings.gap)));
  return { columns: fitting(printed.width, laid.width), rows: fitting(printed.height, laid.height) };
}

/** How a sheet lies on pages: as many as are asked on one, or, where a single one is larger than the page, over several. */
export function layOutPages(sheet: Size, settings: PrintSettings): PrintLayout {
  const [printed, laid] = [printedOf(settings), laidSize(sheet, settings)];
  const isSingle = settings.columns * settings.rows === 1;
  const isLarger = laid.width > printed.width + NEAR || laid.height > printed.height + NEAR;
  return isSingle && isLarger && printed.width > settings.overlap && printed.height > settings.overlap
    ? overPages(laid, settings)
    : onOnePage(laid, settings);
}

/** The map that lays the sheet's middle on a place of the page. */
function laidAt({ x, y }: Point, { scale, turned }: PrintSettings): Matrix {
  return turned ? [0, scale, -scale, 0, x, y] : [scale, 0, 0, scale, x, y];
}

function onOnePage(laid: Size, settings: PrintSettings): PrintLayout {
  const { paper, columns, rows, gap, bleed } = settings;
  const whole = { width: columns * laid.width + (columns - 1) * gap, height: rows * laid.height + (rows - 1) * gap };
  const [left, top] = [(paper.width - whole.width) / 2, (paper.height - whole.height) / 2];
  const windows: PageWindow[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const [x, y] = [left + column * (laid.width + gap), top + row * (laid.height + gap)];
      const trim = { left: x, top: y, right: x + laid.width, bottom: y + laid.height };
      const middle = { x: x + laid.width / 2, y: y + laid.height / 2 };
      // Between two sheets each bleeds into its own half of the gap.
      const reach = (isOuter: boolean) => (isOuter ? bleed : Math.min(bleed, gap / 2));
      const clip = {
        left: x - reach(column === 0),
        top: y - reach(row === 0),
        right: trim.right + reach(column === columns - 1),
        bottom: trim.bottom + reach(row === rows - 1),
      };
      windows.push({ matrix: laidAt(middle, settings), clip: within(clip, paper), trim });
    }
  }
  const all = { left, top, right: left + whole.width, bottom: top + whole.height };
  const page = { left: 0, top: 0, right: paper.width, bottom: paper.height };
  const trim = windows.length === 1 ? within(all, paper) : page;
  const printed = printedOf(settings);
  return {
    paper,
    across: 1,
    down: 1,
    pages: [
      {
        windows,
        trim,
        bleed: windows.length === 1 ? within(grown(all, bleed), paper) : page,
        marks: [
          ...(settings.marks
            ? windows.flatMap((window) =>
                cropMarks(window.trim, bleed, { left: 0, top: 0, right: paper.width, bottom: paper.height }),
              )
            : []),
          ...bar(settings),
        ],
      },
    ],
    beyond: Math.max(0, (whole.width - printed.width) / 2, (whole.height - printed.height) / 2),
  };
}

/** How something lies along a row of pages. */
interface Along {
  /** How many pages it takes. */
  readonly count: number;
  /** How far from the first page's printed edge it begins, millimetres. */
  readonly lead: number;
}

/**
 * Something of a length along pages of which so much is printed, each lying over the next by the overlap. Before and behind it
 * there is room for crop marks where they are wanted: all of theirs, or as much as the pages it takes anyway leave, if that is
 * enough to cut by. What lies on one page takes no second one for them.
 */
function alongPages(length: number, printed: number, overlap: number, marks: boolean): Along {
  const pagesFor = (size: number) => Math.max(1, Math.ceil((size - overlap) / (printed - overlap) - NEAR));
  const count = pagesFor(length);
  if (!marks) return { count, lead: 0 };
  const left = (count * printed - (count - 1) * overlap - length) / 2;
  return left >= SHORTEST_CROP_ROOM || count === 1
    ? { count, lead: Math.min(CROP_ROOM, left) }
    : { count: pagesFor(length + 2 * CROP_ROOM), lead: CROP_ROOM };
}

/** How long crop marks are along it; without end, which no page has room for, where they would be too short to cut by. */
const markFor = ({ lead }: Along) => (lead >= SHORTEST_CROP_ROOM ? lead - CROP_AWAY : Infinity);

/** A large sheet over several pages, each but the last full, which lie over each other by the overlap. */
function overPages(laid: Size, settings: PrintSettings): PrintLayout {
  const { paper, margin, overlap, bleed, marks } = settings;
  const printed = printedOf(settings);
  const across = alongPages(laid.width + 2 * bleed, printed.width, overlap, marks);
  const down = alongPages(laid.height + 2 * bleed, printed.height, overlap, marks);
  const pages: PrintPage[] = [];
  for (let row = 0; row < down.count; row++) {
    for (let column = 0; column < across.count; column++) {
      const [x, y] = [column * (printed.width - overlap), row * (printed.height - overlap)];
      const [left, top] = [margin - x + across.lead + bleed, margin - y + down.lead + bleed];
      const edge = { left, top, right: left + laid.width, bottom: top + laid.height };
      const reached = { left: margin, top: margin, right: margin + printed.width, bottom: margin + printed.height };
      const clip = common(grown(edge, bleed), reached);
      const middle = { x: left + laid.width / 2, y: top + laid.height / 2 };
      const trim = common(edge, clip);
      const last = { right: column === across.count - 1, bottom: row === down.count - 1 };
      const neighbours = { left: column > 0, right: !last.right, top: row > 0, bottom: !last.bottom };
      const own = marks
        ? [
            ...joinMarks(reached, overlap, neighbours, { column, row }),
            ...cropMarks(edge, bleed, reached, { across: markFor(across), down: markFor(down) }),
          ]
        : [];
      pages.push({
        windows: [{ matrix: laidAt(middle, settings), clip, trim }],
        trim,
        bleed: clip,
        marks: [...own, ...(last.bottom && column === 0 ? bar(settings) : [])],
      });
    }
  }
  return { paper, across: across.count, down: down.count, pages, beyond: 0 };
}

const bar = (settings: PrintSettings) => (settings.bar ? barOf(settings.paper, settings.margin) : []);

function grown({ left, top, right, bottom }: Box, by: number): Box {
  return { left: left - by, top: top - by, right: right + by, bottom: bottom + by };
}

function within(box: Box, { width, height }: Size): Box {
  return common(box, { left: 0, top: 0, right: width, bottom: height });
}

function common(a: Box, b: Box): Box {
  return {
    left: Math.max(a.left, b.left),
    top: Math.max(a.top, b.top),
    right: Math.min(a.right, b.right),
    bottom: Math.min(a.bottom, b.bottom),
  };
}
