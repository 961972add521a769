import type { SvgShapeValue, SvgSourceValue } from "../source";
import { EMPTY_BOX, isEmpty, joinBoxes } from "../../../geometry/box";
import { TooMuchEffort, withEffort } from "../../../geometry/effort";
import { multiply, scaling, translation } from "../../../geometry/matrix";
import { boxOfPath, transformPath } from "../../../geometry/path";
import { pathData } from "../../../geometry/pathData";
import { pathOfData } from "../pathOfData";
import { collectShapes } from "./collectShapes";
import { LeftOut, type Omission } from "./leftOut";
import { numbersIn, pixelsOfLength } from "./lengths";
import { ImportRefused } from "./refused";
import { viewBoxMap } from "./transforms";
import { readXml, type XmlElement } from "./xmlTree";

/** An imported picture, and what of the file was not taken over; or why the file was refused. */
export type ImportResult =
  | { readonly source: SvgSourceValue; readonly leftOut: readonly Omission[] }
  | { readonly refusal: string };

const MILLIMETRES_A_PIXEL = 25.4 / 96;
/** How large and how far away anything may be, millimetres. */
const FARTHEST = 1_000_000;
/** Seconds a picture may take to be taken over, on a usual machine. */
const MOST_SECONDS = 2;
const DEFAULT_SIZE = { width: 300, height: 150 };

/**
 * Reads an SVG from another program: paths, basic shapes, groups, transforms, `use`, nested viewports, fills
 * and lines. Sizes become millimetres about the picture's middle. Gradients become their middle colour; what
 * is not taken over is listed. The geometry engine must have been loaded where clips cut curves.
 */
export function importSvg(file: string): ImportResult {
  try {
    return withEffort(MOST_SECONDS, () => readPicture(file)).result;
  } catch (error) {
    if (error instanceof TooMuchEffort) {
      return {
        refusal: "is too intricate to be taken over: its clips cut too many outlines; simplify it where it comes from",
      };
    }
    if (error instanceof ImportRefused) return { refusal: error.message };
    if (error instanceof RangeError) return { refusal: `cannot be read: ${error.message}` };
    throw error;
  }
}

function readPicture(file: string): ImportResult {
  const root = readXml(file);
  if (root.name !== "svg") throw new ImportRefused(`is no SVG: it begins with <${root.name}>`);
  const leftOut = new LeftOut();
  const viewBox = numbersIn(root.attributes.get("viewBox"));
  const size = sizeOfRoot(root, viewBox);
  const toPixels = viewBoxMap(viewBox, size.width, size.height, root.attributes.get("preserveAspectRatio"));
  const toMillimetres = multiply(
    scaling(MILLIMETRES_A_PIXEL),
    multiply(translation(-size.width / 2, -size.height / 2), toPixels),
  );
  const viewport = viewBox.length === 4 ? { width: viewBox[2] ?? 0, height: viewBox[3] ?? 0 } : size;
  const shapes = collectShapes(root, viewport, toMillimetres, leftOut).filter((shape) => {
    const isWithin = isBounded(shape);
    if (!isWithin) leftOut.note("a shape larger, or farther away, than a kilometre");
    return isWithin;
  });
  if (shapes.length === 0) {
    const why = leftOut.list().map(({ what }) => what);
    throw new ImportRefused(
      `has nothing in it that can be repeated${why.length > 0 ? `: it has only ${why.join(", ")}` : ""}`,
    );
  }
  const source = {
    width: size.width * MILLIMETRES_A_PIXEL,
    height: size.height * MILLIMETRES_A_PIXEL,
    shapes,
  };
  const fitted = isSized(root, viewBox) ? source : fittedSource(source);
  if (![fitted.width, fitted.height].every((side) => side > 0 && side <= FARTHEST)) {
    throw new ImportRefused(`is ${fitted.width} × ${fitted.height} mm large; that is no size a design can have`);
  }
  return { source: fitted, leftOut: leftOut.list() };
}

/** Whether all numbers of a shape are such as a design can hold. */
function isBounded({ d, line, opacity }: SvgShapeValue): boolean {
  const numbers = [line?.width ?? 0, ...(line?.dash ?? []), opacity ?? 1];
  const isNear = (value: number) => Number.isFinite(value) && Math.abs(value) <= FARTHEST;
  return (
    /^[MLCZ\d\s.,-]*$/.test(d) &&
    numbers.every(isNear) &&
    (d.match(/-?[\d.]+/g) ?? []).every((text) => isNear(Number(text)))
  );
}

function sizeOfRoot({ attributes }: XmlElement, viewBox: readonly number[]): { width: number; height: number } {
  const [, , across = DEFAULT_SIZE.width, down = DEFAULT_SIZE.height] = viewBox;
  const isShare = (text: string | undefined) => text?.trim().endsWith("%") ?? true;
  const side = (key: string, whole: number) =>
    isShare(attributes.get(key)) ? null : (pixelsOfLength(attributes.get(key), whole) ?? null);
  const [width, height] = [side("width", across), side("height", down)];
  const size = {
    width: width ?? (height !== null ? (height * across) / down : across),
    height: height ?? (width !== null ? (width * down) / across : down),
  };
  if (size.width > 0 && size.height > 0 && size.width < 4e7 && size.height < 4e7) return size;
  throw new ImportRefused("gives itself a size that cannot be: width and height must be more than 0");
}

function isSized({ attributes }: XmlElement, viewBox: readonly number[]): boolean {
  return viewBox.length === 4 || (attributes.has("width") && attributes.has("height"));
}

/** A file without any size is as large as what is in it. */
function fittedSource(source: SvgSourceValue): SvgSourceValue {
  const paths = source.shapes.map(({ d }) => pathOfData(d));
  const box = paths.map((path) => boxOfPath(path)).reduce(joinBoxes, EMPTY_BOX);
  if (isEmpty(box)) return source;
  const middle = translation(-(box.left + box.right) / 2, -(box.top + box.bottom) / 2);
  return {
    width: Math.max(0.001, box.right - box.left),
    height: Math.max(0.001, box.bottom - box.top),
    shapes: source.shapes.map((shape, index): SvgShapeValue => ({
      ...shape,
      d: pathData(transformPath(paths[index] ?? [], middle)),
    })),
  };
}
