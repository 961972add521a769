import { choice } from "../fields/choice";
import { following, number } from "../fields/number";
import { partName } from "../fields/partName";
import { toggle } from "../fields/toggle";
import { bendPath } from "../geometry/bend";
import { measureLine, type MeasuredLine } from "../geometry/line";
import { IDENTITY, multiply, translation, type Matrix } from "../geometry/matrix";
import { transformPath } from "../geometry/path";
import { ORIGIN } from "../geometry/point";
import { lengthHandle } from "../motif/handles";
import { defineRule, type Group, type Transforms } from "./definition";
import { FRIEZE_GROUPS, FRIEZE_SYMBOLS, type FriezeSymbol } from "./groups/friezeGroups";
import type { CellOperation } from "./groups/planeGroups";
import { shortBy, tidy, type LinkedNumbers, type LinkReport } from "./linkedNumbers";
import { packMatrices } from "./pack";

interface BorderValues {
  readonly group: FriezeSymbol;
  readonly count: number;
  readonly length: number | undefined;
  readonly pitch: number | undefined;
  readonly path: string;
  readonly bend: boolean;
}

const USUAL_PITCH = 24;
const MOST_REPEATS = 100_000;

/**
 * A motif repeated by one of the 7 frieze groups along a level line centred on the origin, or along another part's
 * line. Where both pitch and length are held, the repeats that fit best are spread over the length evenly.
 */
export const border = defineRule<BorderValues>({
  kind: "border",
  fields: {
    group: choice(FRIEZE_SYMBOLS, "p1"),
    count: number("count", 8, { max: MOST_REPEATS }),
    /** A part's line it goes along; the line's length holds then, unless a shorter one is given. */
    path: partName(""),
    length: following("length", { min: 0.001 }),
    /** From repeat to repeat; 24 mm unless it is given or follows. */
    pitch: following("length", { min: 0.001 }),
    /** Whether the motif is bent to follow the path. */
    bend: toggle(false),
  },
  uses: ({ path }) => (path === "" ? [] : [path]),
  handles(values) {
    if (values.path !== "" || (values.length !== undefined && values.pitch === undefined)) return [];
    return [lengthHandle("pitch", ORIGIN, 90, values.pitch ?? USUAL_PITCH)];
  },
  copies: (values) => (values.path === "" ? linked(values, null).count : 1) * FRIEZE_GROUPS[values.group].length,
  transforms(values, group) {
    const line = lineOf(values, group);
    if (values.path !== "" && !line) return { matrices: Float64Array.from(IDENTITY) };
    const { count, spacing } = linked(values, line);
    const images = FRIEZE_GROUPS[values.group].map((operation) => inBorder(operation, spacing));
    return line ? onLine(values, line, images, count, spacing) : onLevel(images, count, spacing);
  },
  repeat(values) {
    if (values.path !== "") return null;
    const { count, spacing } = linked(values, null);
    const images = FRIEZE_GROUPS[values.group].map((operation) => inBorder(operation, spacing));
    const along = { x: spacing, y: 0 };
    return {
      a: { vector: along, columns: 1, rows: 0 },
      b: null,
      cell: { a: along, b: null },
      images: images.length,
      columns: null,
      place: (column, _row, image) => levelImage(imageOf(images, image), column, count, spacing),
      number: (column) => ({ column, row: 0 }),
    };
  },
  tile: (values) => (values.path === "" ? { width: linked(values, null).spacing, height: null } : null),
  links: (values, group) => [borderLinks(values, lineOf(values, group))],
});

function lineOf({ path }: BorderValues, group: Group): MeasuredLine | null {
  if (path === "") return null;
  const line = measureLine(group.surroundings.lineOf(path) ?? []);
  if (!line) group.note(`“${path}” has no line for a border`);
  return line;
}

function linked({ count, length, pitch }: BorderValues, line: MeasuredLine | null): LinkedNumbers {
  const span = length ?? line?.length;
  if (span === undefined) {
    const spacing = pitch ?? USUAL_PITCH;
    return { count, spacing, span: count * spacing, follows: "span" };
  }
  if (pitch === undefined) return { count, spacing: span / count, span, follows: "spacing" };
  const repeats = Math.max(1, Math.min(MOST_REPEATS, Math.round(span / pitch)));
  return { count: repeats, spacing: span / repeats, span, follows: "count" };
}

function borderLinks(values: BorderValues, line: MeasuredLine | null): LinkReport {
  const numbers = linked(values, line);
  const { count, spacing, span } = numbers;
  const length = line ? values.length : tidy(span);
  return {
    ...numbers,
    about: "border",
    quantity: "length",
    fields: { count: "count", spacing: "pitch", span: "length" },
    letFollow: {
      count: { pitch: tidy(spacing), length },
      spacing: { count, pitch: undefined, length },
      span: { count, pitch: tidy(spacing), length: line ? tidy(span) : undefined },
    },
    short: line?.closed ? shortBy(line.length - span) : null,
    close: { count, pitch: undefined, length: undefined },
  };
}

/** Where one of the group's images stands in its repeat: mirrored or turned in place, and so far along. */
interface Image {
  readonly own: Matrix;
  readonly along: number;
}

function inBorder([a, b, c, d, e]: CellOperation, pitch: number): Image {
  return { own: [a, c, b, d, 0, 0], along: e * pitch };
}

const imageOf = (images: readonly Image[], j: number): Image =>
  images[j % images.length] ?? { own: IDENTITY, along: 0 };

function onLevel(images: readonly Image[], count: number, pitch: number): Transforms {
  return {
    matrices: packMatrices(count * images.length, (j) =>
      levelImage(imageOf(images, j), Math.floor(j / images.length), count, pitch),
    ),
  };
}

/** One image of a repeat of a level border of `count` repeats about the origin. */
function levelImage({ own, along }: Image, repeat: number, count: number, pitch: number): Matrix {
  return multiply(translation((repeat - (count - 1) / 2) * pitch + along, 0), own);
}

/** Repeats stand in the middle of their shares of the line, the first at its start. */
function onLine(
  { bend }: BorderValues,
  line: MeasuredLine,
  images: readonly Image[],
  count: number,
  pitch: number,
): Transforms {
  const lengthAt = (j: number) => (Math.floor(j / images.length) + 0.5) * pitch + imageOf(images, j).along;
  const copies = count * images.length;
  if (bend) {
    return {
      matrices: packMatrices(copies, () => IDENTITY),
      reshape: {
        space: "group",
        keepsPieces: true,
        outline: (path, j) => bendPath(transformPath(path, imageOf(images, j).own), line, lengthAt(j)),
      },
    };
  }
  return {
    matrices: packMatrices(copies, (j) => {
      const { point, tangent } = line.at(lengthAt(j));
      return multiply([tangent.x, tangent.y, -tangent.y, tangent.x, point.x, point.y], imageOf(images, j).own);
    }),
  };
}
