import type { ResolvedMaking } from "../design/makingFields";
import type { Box } from "../geometry/box";
import type { Matrix } from "../geometry/matrix";
import type { Point } from "../geometry/point";
import type { Size } from "../geometry/size";
import { barOf, cropMarks, joinMarks, type MarkLine } from "./marks";

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
          ...(settings.marks ? windows.flatMap((window) => cropMarks(window.trim, bleed, paper)) : []),
          ...bar(settings),
        ],
      },
    ],
    beyond: Math.max(0, (whole.width - printed.width) / 2, (whole.height - printed.height) / 2),
  };
}

/** A large sheet over several pages, each but the last full, which lie over each other by the overlap. */
function overPages(laid: Size, settings: PrintSettings): PrintLayout {
  const { paper, margin, overlap, bleed } = settings;
  const printed = printedOf(settings);
  const whole = { width: laid.width + 2 * bleed, height: laid.height + 2 * bleed };
  const pagesFor = (size: number, room: number) => Math.max(1, Math.ceil((size - overlap) / (room - overlap) - NEAR));
  const [across, down] = [pagesFor(whole.width, printed.width), pagesFor(whole.height, printed.height)];
  const pages: PrintPage[] = [];
  for (let row = 0; row < down; row++) {
    for (let column = 0; column < across; column++) {
      const [x, y] = [column * (printed.width - overlap), row * (printed.height - overlap)];
      const clip = {
        left: margin,
        top: margin,
        right: margin + Math.min(printed.width, whole.width - x),
        bottom: margin + Math.min(printed.height, whole.height - y),
      };
      const middle = { x: margin - x + whole.width / 2, y: margin - y + whole.height / 2 };
      const edge = {
        left: middle.x - laid.width / 2,
        top: middle.y - laid.height / 2,
        right: middle.x + laid.width / 2,
        bottom: middle.y + laid.height / 2,
      };
      const trim = common(edge, clip);
      const neighbours = { left: column > 0, right: column < across - 1, top: row > 0, bottom: row < down - 1 };
      const marks = settings.marks ? joinMarks(clip, overlap, neighbours, { column, row, margin }) : [];
      pages.push({
        windows: [{ matrix: laidAt(middle, settings), clip, trim }],
        trim,
        bleed: clip,
        marks: [...marks, ...(row === down - 1 && column === 0 ? bar(settings) : [])],
      });
    }
  }
  return { paper, across, down, pages, beyond: 0 };
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
