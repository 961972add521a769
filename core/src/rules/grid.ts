import { choice } from "../fields/choice";
import { following, number } from "../fields/number";
import { pair } from "../fields/pair";
import { given } from "../fields/given";
import { nullable } from "../fields/nullable";
import { point } from "../fields/point";
import { record } from "../fields/record";
import { partName } from "../fields/partName";
import type { FieldValue } from "../fields/stored";
import type { Limits } from "../fields/limits";
import { ORIGIN, type Point } from "../geometry/point";
import { multiply, translation } from "../geometry/matrix";
import { lengthHandle } from "../motif/handles";
import { defineRule, type Mark, type Transforms } from "./definition";
import { fillWith, firstFilled, isOdd } from "./gridFill";
import { ALTERNATIONS, gridLayout, type LayoutValues } from "./gridLayout";
import { ASYMMETRIC_UNITS } from "./groups/asymmetricUnits";
import { PLANE_GROUPS, PLANE_GROUP_SYMBOLS } from "./groups/planeGroups";
import { inCell, LATTICES } from "./lattice";
import { linkNumbers, tidy, type LinkedNumbers, type LinkReport } from "./linkedNumbers";
import { packMatrices } from "./pack";
import { tileOf } from "./tile";

/** Where the sides of a free cell may reach, millimetres. */
const VECTOR: Limits = { min: -10_000, max: 10_000, whole: false };

const GROUPS = ["none", ...PLANE_GROUP_SYMBOLS] as const;

interface GridValues extends LayoutValues {
  readonly columns: number;
  readonly rows: number;
  readonly width: number | undefined;
  readonly widthSets: "pitch" | "columns";
  readonly height: number | undefined;
  readonly heightSets: "pitch" | "rows";
  readonly fill: string;
}

/**
 * Copies in columns and rows, centred on the origin, row after row, or over all of the sheet or a part; or a
 * plane group, the motif standing in the group's asymmetric unit and each cell holding all its images.
 */
export const grid = defineRule<GridValues>({
  kind: "grid",
  fields: {
    lattice: choice(LATTICES, "square"),
    columns: number("count", 5, { max: 10_000 }),
    rows: number("count", 5, { max: 10_000 }),
    /** The sheet, or the id of a part, that is filled; columns and rows follow then. */
    fill: partName(""),
    pitch: pair("length", { x: 30, y: 30 }, { single: true, min: 0.001 }),
    /** From the first column to the last. */
    width: following("length", { min: 0.001 }),
    widthSets: choice(["pitch", "columns"], "pitch"),
    /** From the first row to the last. */
    height: following("length", { min: 0.001 }),
    heightSets: choice(["pitch", "rows"], "pitch"),
    /** The two sides of a free lattice's cell. */
    vectors: nullable(record({ a: given(point(ORIGIN, VECTOR)), b: given(point(ORIGIN, VECTOR)) })),
    /** How far every odd row is moved along it, in shares of a column; the lattice's own unless given. */
    shift: following("factor", { min: -1, max: 1, step: 0.05 }),
    /** Whether every other column or row is mirrored or turned about. */
    alternate: record({ columns: choice(ALTERNATIONS, "none"), rows: choice(ALTERNATIONS, "none") }),
    group: choice(GROUPS, "none"),
  },
  drivenBy: "columns",
  copies: (values) => (values.fill === "" ? columnsOf(values).count * rowsOf(values).count : 1) * imagesOf(values),
  uses: ({ fill }) => (fill === "" ? [] : [fill]),
  transforms(values, group) {
    const layout = gridLayout(sized(values));
    if (values.fill !== "") return fillWith(layout, values.fill, group);
    return inRows(layout, columnsOf(values).count, rowsOf(values).count);
  },
  handles(values) {
    const { lattice, pitch } = sized(values);
    const { a, b } = gridLayout(sized(values)).cell;
    if (usesVectors(values)) return [];
    const one = !hasOwnRowPitch(values);
    if (one) return [lengthHandle("pitch", ORIGIN, 90, a.x, 1)];
    return [
      ...(values.width === undefined ? [lengthHandle("pitch.x", ORIGIN, 90, a.x)] : []),
      ...(values.height === undefined
        ? [lengthHandle("pitch.y", ORIGIN, 180, pitch.y, lattice === "diamond" ? 0.5 : b.y / pitch.y)]
        : []),
    ];
  },
  marks(values) {
    const layout = gridLayout(sized(values));
    const marks: Mark[] = [];
    if (values.group !== "none") {
      const at = values.fill === "" ? firstCell(values, layout) : ORIGIN;
      const corners = ASYMMETRIC_UNITS[values.group].map(([u, v]) => moved(inCell(layout.cell, u, v), at));
      marks.push({ kind: "area", corners });
    }
    if (usesVectors(values)) marks.push({ kind: "vectors", ...layout.cell });
    return marks;
  },
  links: (values) => (values.fill === "" && !values.vectors ? gridLinks(values) : []),
  repeat(values, group) {
    const layout = gridLayout(sized(values));
    const { cell, every, images } = layout;
    const filling = values.fill !== "";
    const [columns, rows] = [columnsOf(values).count, rowsOf(values).count];
    // A filling grid has a cell at the origin, a counted one its middle.
    const shift = filling ? { column: 0, row: 0 } : { column: fromMiddle(0, columns), row: fromMiddle(0, rows) };
    const first = filling ? firstFilled(layout, values.fill, group) : { column: 0, row: 0 };
    return {
      a: { vector: inCell(cell, every.columns, 0), columns: every.columns, rows: 0 },
      b: { vector: inCell(cell, 0, every.rows), columns: 0, rows: every.rows },
      cell,
      images,
      columns: filling ? null : columns,
      place(column, row, image) {
        const { x, y } = layout.origin(column + shift.column, row + shift.row, isOdd(row));
        return multiply(translation(x, y), layout.image(image, isOdd(column), isOdd(row)));
      },
      number: (column, row) => ({ column: column - first.column, row: row - first.row }),
    };
  },
  tile(values) {
    const { a, b } = gridLayout(sized(values)).period;
    return tileOf(a, b);
  },
});

function imagesOf({ group }: GridValues): number {
  return group === "none" ? 1 : PLANE_GROUPS[group].operations.length;
}

/** Whether the two free vectors shape the cell. */
function usesVectors({ lattice, group }: GridValues): boolean {
  return group === "none" ? lattice === "free" : PLANE_GROUPS[group].shape === "oblique";
}

/** Whether rows have a pitch of their own; in square and hexagonal lattices one number stands for both. */
function hasOwnRowPitch({ lattice, group }: GridValues): boolean {
  if (group === "none") return lattice !== "square" && lattice !== "hex";
  const { shape } = PLANE_GROUPS[group];
  return shape === "rectangular" || shape === "oblique";
}

function columnsOf({ columns, pitch, width, widthSets }: GridValues): LinkedNumbers {
  return fromEndToEnd(columns, pitch.x, width, widthSets === "columns");
}

function rowsOf(values: GridValues): LinkedNumbers {
  const { rows, pitch, height, heightSets } = values;
  if (!hasOwnRowPitch(values)) return fromEndToEnd(rows, columnsOf(values).spacing, undefined, false);
  return fromEndToEnd(rows, pitch.y, height, heightSets === "rows");
}

function fromEndToEnd(count: number, pitch: number, span: number | undefined, setsCount: boolean): LinkedNumbers {
  return linkNumbers({
    count,
    spacing: span === undefined || setsCount ? pitch : undefined,
    span,
    usual: { spacing: pitch },
    gaps: (copies) => copies - 1,
    countFor: (gaps) => gaps + 1,
  });
}

/** The values with the pitch that width and height ask for. */
function sized(values: GridValues): GridValues {
  if (values.width === undefined && values.height === undefined) return values;
  const [x, y] = [columnsOf(values).spacing, rowsOf(values).spacing];
  return { ...values, pitch: { x: x || values.pitch.x, y: y || values.pitch.y } };
}

function gridLinks(values: GridValues): LinkReport[] {
  const { pitch } = sized(values);
  const both = { x: tidy(pitch.x), y: tidy(pitch.y) };
  const storedPitch = hasOwnRowPitch(values) ? both : both.x;
  const columns = endToEndLinks(
    columnsOf(values),
    { count: "columns", spacing: "pitch.x", span: "width" },
    storedPitch,
  );
  if (!hasOwnRowPitch(values)) return [columns];
  return [columns, endToEndLinks(rowsOf(values), { count: "rows", spacing: "pitch.y", span: "height" }, storedPitch)];
}

/** Columns, or rows, with their pitch and the span from the first to the last. */
function endToEndLinks(
  numbers: LinkedNumbers,
  fields: LinkReport["fields"] & { readonly count: "columns" | "rows" },
  pitch: FieldValue,
): LinkReport {
  const { count, span } = fields;
  const sets = `${span}Sets`;
  return {
    ...numbers,
    about: count,
    quantity: "length",
    fields,
    letFollow: {
      count: { [span]: tidy(numbers.span), [sets]: count, pitch },
      spacing: { [count]: numbers.count, [span]: tidy(numbers.span), [sets]: undefined },
      span: { [count]: numbers.count, [span]: undefined, [sets]: undefined, pitch },
    },
    short: null,
    close: null,
  };
}

/** How far a column or row stands from the middle one. */
function fromMiddle(index: number, count: number): number {
  return index - (count - 1) / 2;
}

function firstCell(values: GridValues, layout: ReturnType<typeof gridLayout>): Point {
  return layout.origin(fromMiddle(0, columnsOf(values).count), fromMiddle(0, rowsOf(values).count), false);
}

function moved({ x, y }: Point, by: Point): Point {
  return { x: x + by.x, y: y + by.y };
}

function inRows(layout: ReturnType<typeof gridLayout>, columns: number, rows: number): Transforms {
  const { images } = layout;
  const count = columns * rows * images;
  const columnAt = new Uint32Array(count);
  const rowAt = new Uint32Array(count);
  const matrices = packMatrices(count, (j) => {
    const at = Math.floor(j / images);
    const [column, row] = [at % columns, Math.floor(at / columns)];
    columnAt[j] = column;
    rowAt[j] = row;
    const odd = row % 2 === 1;
    const { x, y } = layout.origin(fromMiddle(column, columns), fromMiddle(row, rows), odd);
    return multiply(translation(x, y), layout.image(j % images, column % 2 === 1, odd));
  });
  return { matrices, columns: columnAt, rows: rowAt };
}
