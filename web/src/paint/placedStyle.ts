import {
  wholeBoxOf,
  boxOfPath,
  IDENTITY,
  invert,
  matrixAt,
  multiply,
  overOf,
  placePaint,
  reachOfLine,
  apply,
  shapeOfCopy,
  sizeOf,
  type Box,
  type Matrix,
  type PartScene,
  type PlacedPaint,
  type VariedPaint,
} from "@twin-petal/core";

type Context = OffscreenCanvasRenderingContext2D;
type Painted = Pick<PartScene["geometry"], "shapes" | "placements">;
type Style = CanvasGradient | CanvasPattern | string;
type StyleOf = (context: Context, copy: number) => Style;

/** What a copy is painted with whose map cannot be undone: it is nowhere. */
const CLEAR = "#00000000";

/** A function from a copy to its colours in the copy's own space: laid over each outline, or over the whole and carried back. */
export function placedStyles(paint: VariedPaint, painted: Painted, part: PartScene): StyleOf {
  const { line } = part.finish;
  const reach = line?.paint === paint ? reachOfLine(line) : 0;
  const { placements } = painted;
  if (overOf(paint) === "whole") {
    const styleOf = readyStyle(placePaint(paint, wholeBoxOf(paint, part.geometry), reach));
    return (context, copy) => {
      const back = invert(matrixAt(placements.matrices, copy));
      return back ? styleOf(context, back) : CLEAR;
    };
  }
  const known = new Map<number, Style>();
  return (context, copy) => {
    const shape = placements.shapeOf?.[copy] ?? 0;
    const style =
      known.get(shape) ??
      readyStyle(placePaint(paint, boxOfPath(shapeOfCopy(painted, copy).path), reach))(context, IDENTITY);
    known.set(shape, style);
    return style;
  };
}

/** Colours laid over a box, ready to be carried into any space. */
function readyStyle(placed: PlacedPaint): (context: Context, back: Matrix) => Style {
  if (placed.kind !== "picture") return (context, back) => gradientStyle(context, placed, back);
  const { width, height, data } = placed.raster;
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")?.putImageData(new ImageData(data, width, height), 0, 0);
  return (context, back) => patternStyle(context, canvas, placed.box, back);
}

type PlacedGradient = Exclude<PlacedPaint, { kind: "picture" }>;

function gradientStyle(context: Context, gradient: PlacedGradient, back: Matrix): CanvasGradient {
  const style =
    gradient.kind === "linear"
      ? linearStyle(context, apply(back, gradient.from), apply(back, gradient.to))
      : radialStyle(context, apply(back, gradient.centre), gradient.radius * sizeOf(back));
  for (const { at, color } of gradient.stops) style.addColorStop(at, color);
  return style;
}

const linearStyle = (context: Context, from: { x: number; y: number }, to: { x: number; y: number }) =>
  context.createLinearGradient(from.x, from.y, to.x, to.y);

const radialStyle = (context: Context, { x, y }: { x: number; y: number }, radius: number) =>
  context.createRadialGradient(x, y, 0, x, y, radius);

function patternStyle(context: Context, canvas: OffscreenCanvas, box: Box, back: Matrix): CanvasPattern | string {
  const pattern = context.createPattern(canvas, "repeat");
  if (!pattern) return CLEAR;
  const { left, top, right, bottom } = box;
  const placed: Matrix = [(right - left) / canvas.width, 0, 0, (bottom - top) / canvas.height, left, top];
  const [a, b, c, d, e, f] = multiply(back, placed);
  pattern.setTransform({ a, b, c, d, e, f });
  return pattern;
}
