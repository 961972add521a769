import { SHEET } from "../fields/partName";
import { areaWithin } from "../geometry/area";
import { boxOfPoints, cornersOf, growBox, isEmpty, reachFrom, type Box } from "../geometry/box";
import { apply, invert, multiply, translation, type Matrix } from "../geometry/matrix";
import { boxOfPath } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { MOST_COPIES } from "../fields/most";
import type { Group, Transforms } from "./definition";
import type { GridLayout } from "./gridLayout";
import { mostCopiesCheck } from "./mostCopies";
import { Incomputable } from "../formula/incomputable";

/** Cells looked through; where there are more, hardly any of them can hold a copy, or far too many do. */
const MOST_CELLS = 10 * MOST_COPIES;

/**
 * A grid over the whole sheet or a part's area, a cell standing at the origin: every copy that touches the
 * sheet, or whose middle lies in the area. Row after row.
 */
export function fillWith(layout: GridLayout, region: string, group: Group): Transforms {
  const own = group.box();
  const within = withinOf(region, group, own);
  if (!within || isEmpty(own)) return { matrices: new Float64Array(0) };
  const matrices: number[] = [];
  const rows: number[] = [];
  const columns: number[] = [];
  const { fromColumn, toColumn, fromRow, toRow } = cellsOver(within.box, layout, own);
  mostCellsCheck((toColumn - fromColumn + 1) * (toRow - fromRow + 1) * layout.images);
  for (let row = fromRow; row <= toRow; row++) {
    for (let column = fromColumn; column <= toColumn; column++) {
      const { x, y } = layout.origin(column, row, isOdd(row));
      for (let k = 0; k < layout.images; k++) {
        const matrix = multiply(translation(x, y), layout.image(k, isOdd(column), isOdd(row)));
        if (!within.takes(matrix)) continue;
        matrices.push(...matrix);
        rows.push(row - fromRow);
        columns.push(column - fromColumn);
      }
    }
    mostCopiesCheck(rows.length * group.count);
  }
  if (rows.length === 0) group.note("no copy of the grid falls where it is to fill");
  return {
    matrices: Float64Array.from(matrices),
    rows: Uint32Array.from(rows),
    columns: Uint32Array.from(columns),
  };
}

function withinOf(region: string, group: Group, own: Box): Within | null {
  return region === SHEET ? touching(boxOfPath(group.surroundings.sheet()), own) : inside(region, group, own);
}

/** The numbers of the first column and row of a grid that fills: copies are counted from there. */
export function firstFilled(layout: GridLayout, region: string, group: Group): { column: number; row: number } {
  const own = group.box();
  const within = withinOf(region, group, own);
  if (!within || isEmpty(own)) return { column: 0, row: 0 };
  const { fromColumn, fromRow } = cellsOver(within.box, layout, own);
  return { column: fromColumn, row: fromRow };
}

function mostCellsCheck(cells: number): void {
  if (cells <= MOST_CELLS) return;
  const [notes, most] = [cells.toLocaleString("en"), MOST_CELLS.toLocaleString("en")];
  throw new Incomputable("", `lays ${notes} cells over what it fills, at most ${most} can be; widen its spacing`);
}

/** Whether a column or row is one of those that alternate. */
export function isOdd(index: number): boolean {
  return Math.abs(index % 2) === 1;
}

interface Within {
  readonly box: Box;
  takes: (matrix: Matrix) => boolean;
}

function touching(sheet: Box, own: Box): Within {
  return {
    box: sheet,
    takes(matrix) {
      const { left, top, right, bottom } = boxOfPoints(cornersOf(own).map((corner) => apply(matrix, corner)));
      return right > sheet.left && left < sheet.right && bottom > sheet.top && top < sheet.bottom;
    },
  };
}

function inside(region: string, group: Group, own: Box): Within | null {
  const outline = group.surroundings.areaOf(region);
  if (!outline || outline.length === 0) return null;
  const area = areaWithin(outline);
  const middle = { x: (own.left + own.right) / 2, y: (own.top + own.bottom) / 2 };
  return { box: area.box, takes: (matrix) => area.contains(apply(matrix, middle)) };
}

/** The columns and rows whose cells can reach a box: its corners in shares of the cell, and room for one copy and a cell. */
function cellsOver(box: Box, { cell, images }: GridLayout, own: Box) {
  const wide = growBox(box, reachFrom(own, ORIGIN, 0));
  const back = invert([cell.a.x, cell.a.y, cell.b.x, cell.b.y, 0, 0]);
  const shares = back ? cornersOf(wide).map((corner) => apply(back, corner)) : [];
  const { left, top, right, bottom } = boxOfPoints(shares);
  const room = images > 1 ? 2 : 1;
  return {
    fromColumn: Math.floor(left) - room,
    toColumn: Math.ceil(right) + room,
    fromRow: Math.floor(top) - room,
    toRow: Math.ceil(bottom) + room,
  };
}
