import { areaWithin } from "../../geometry/area";
import { combine } from "../../geometry/boolean/boolean";
import { monotone } from "../../geometry/monotone";
import type { Path, Subpath } from "../../geometry/path";
import { circleAt } from "../../geometry/strip/ends";
import { stripAlong, stripLine, type StripLine } from "../../geometry/strip/strip";
import { dashesOf, dotsAlong, shadesOf, type Interval } from "./intervals";
import type { LineShape } from "../../geometry/strip/lineShape";

/** A stretch of a line as an area, and where along the line it is, 0…1; null for all of it. */
interface LineStretch {
  readonly path: Path;
  readonly along: number | null;
}

/** Pieces lie over the ones after them by this share of the width, so that no hairline shows between. */
const OVERLAP = 0.02;

/**
 * A line as areas to be filled by the nonzero rule. `shaded` cuts it into pieces for a colour that changes along it.
 * A line inside or outside its outline needs the geometry engine.
 */
export function strokeAreas(path: Path, shape: LineShape, shaded: boolean): LineStretch[] {
  const lines = path.map((subpath) => runAreas(subpath, shape, shaded, path));
  if (shaded) return lines.flat();
  const whole = lines.flat().flatMap((stretch) => stretch.path);
  return whole.length > 0 ? [{ path: whole, along: null }] : [];
}

function runAreas(subpath: Subpath, shape: LineShape, shaded: boolean, whole: Path): LineStretch[] {
  const line = stripLine(subpath);
  const { length } = line.measured;
  if (length <= 0) return [];
  const toSide = subpath.closed && shape.place !== "center";
  if (shape.dots) return dotted(line, shape, shape.dots.gap, shaded, toSide ? whole : null);
  const times = toSide ? 2 : 1;
  const width = widths(shape, length, times);
  const changing = shape.swell.length > 1;
  const drawn = dashesOf(length, shape.dash);
  const pieces = shaded ? drawn.flatMap((interval) => shadesOf(interval, length)) : drawn;
  return pieces.map((piece) => {
    const { from, to } = overlapping(piece, drawn, shape.width);
    const strip = stripAlong(
      line,
      from,
      to,
      width,
      { cap: capAt(piece, drawn, shape.cap), join: shape.join },
      changing,
    );
    return { path: toSide ? kept(strip, whole, shape) : strip, along: (piece.from + piece.to) / 2 / length };
  });
}

/** Pieces between the ends of a dash are cut straight; those with an end have its cap. */
function capAt(piece: Interval, drawn: readonly Interval[], cap: LineShape["cap"]): LineShape["cap"] {
  return drawn.some(({ from, to }) => from === piece.from || to === piece.to) ? cap : "butt";
}

function overlapping({ from, to }: Interval, drawn: readonly Interval[], width: number): Interval {
  const ends = drawn.some((interval) => Math.abs(interval.to - to) < 1e-9);
  return { from, to: ends ? to : to + Math.max(0.01, width * OVERLAP) };
}

function widths({ width, swell }: LineShape, length: number, times: number): (at: number) => number {
  if (swell.length === 0) return () => width * times;
  const widthAt = monotone(swell);
  return (at) => widthAt(at / length) * times;
}

function kept(strip: Path, whole: Path, { place }: LineShape): Path {
  const area = whole.filter(({ closed }) => closed);
  return combine([strip, area], place === "inside" ? "intersection" : "difference");
}

function dotted(line: StripLine, shape: LineShape, gap: number, shaded: boolean, sided: Path | null): LineStretch[] {
  const { measured } = line;
  const width = widths(shape, measured.length, 1);
  const side = sided ? sideOf(line, sided, shape.place) : 0;
  const dots = dotsAlong(measured.length, measured.closed, gap, width).flatMap((at) => {
    const half = width(at) / 2;
    if (half <= 0) return [];
    const { point, tangent } = measured.at(at);
    const centre = { x: point.x - tangent.y * side * half, y: point.y + tangent.x * side * half };
    return [{ path: [circleAt(centre, half)], along: at / measured.length }];
  });
  return shaded ? dots : [{ path: dots.flatMap(({ path }) => path), along: null }];
}

/** Which hand of a closed run the wanted side is: 1 right, −1 left. */
function sideOf({ measured }: StripLine, whole: Path, place: LineShape["place"]): 1 | -1 {
  const { point, tangent } = measured.at(measured.length * 0.37);
  const near = measured.length * 1e-3;
  const right = { x: point.x - tangent.y * near, y: point.y + tangent.x * near };
  return areaWithin(whole.filter(({ closed }) => closed)).contains(right) === (place === "inside") ? 1 : -1;
}
