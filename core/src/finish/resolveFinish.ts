import { paletteNameOf } from "../design/colors";
import type {
  Cap,
  ColorValue,
  FillValue,
  Finish,
  GradientFill,
  LineJoin,
  LineValue,
  StopValue,
} from "../design/design";
import type { Resolver } from "../design/resolver";
import {
  DASH,
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  LINE_WIDTH,
  OPACITY,
  STOP,
} from "../design/designLimits";
import type { Paint, Stop } from "./paint";

export interface ResolvedLine {
  /** Millimetres in the motif's own size. */
  readonly width: number;
  readonly paint: Paint;
  readonly cap: Cap;
  readonly join: LineJoin;
  /** Millimetres, drawn and left out in turn. */
  readonly dash: readonly number[];
}

/** How copies are painted, with every number and palette colour known. */
export interface ResolvedFinish {
  readonly fill: Paint | null;
  readonly line: ResolvedLine | null;
  /** 0…1, of every copy. */
  readonly opacity: number;
}

export function resolveFinish(
  finish: Finish,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): ResolvedFinish {
  const paint = (fill: FillValue, at: string) => resolvePaint(fill, palette, resolver, at);
  return {
    fill: finish.fill === null ? null : paint(finish.fill, `${path}.fill`),
    line: finish.line && resolveLine(finish.line, paint, resolver, `${path}.line`),
    opacity: resolver.number(finish.opacity, OPACITY, `${path}.opacity`),
  };
}

function resolveLine(
  line: LineValue,
  paint: (fill: FillValue, at: string) => Paint,
  resolver: Resolver,
  path: string,
): ResolvedLine {
  return {
    width: resolver.number(line.width, LINE_WIDTH, `${path}.width`),
    paint: paint(line.paint, `${path}.paint`),
    cap: line.cap,
    join: line.join,
    dash: line.dash.map((length, index) => resolver.number(length, DASH, `${path}.dash[${index}]`)),
  };
}

function resolvePaint(fill: FillValue, palette: ReadonlyMap<string, string>, resolver: Resolver, path: string): Paint {
  if (typeof fill === "string") return { kind: "flat", color: resolveColor(fill, palette) };
  if (fill.kind === "ramp") {
    return { kind: "ramp", stops: resolveStops(fill.stops, palette, resolver, path), by: fill.by };
  }
  if (fill.kind === "linear" || fill.kind === "radial") return resolveGradient(fill, palette, resolver, path);
  return { kind: "cycle", colors: fill.colors.map((color) => resolveColor(color, palette)), by: fill.by };
}

function resolveGradient(
  fill: GradientFill,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): Paint {
  const shared = {
    over: fill.over,
    midpoint: resolver.number(fill.midpoint, STOP, `${path}.midpoint`),
    stops: resolveStops(fill.stops, palette, resolver, path),
  };
  if (fill.kind === "linear") {
    return { kind: "linear", angle: resolver.number(fill.angle, GRADIENT_ANGLE, `${path}.angle`), ...shared };
  }
  const center = {
    x: resolver.number(fill.center.x, GRADIENT_PLACE, `${path}.center.x`),
    y: resolver.number(fill.center.y, GRADIENT_PLACE, `${path}.center.y`),
  };
  const radius = resolver.number(fill.radius, GRADIENT_RADIUS, `${path}.radius`);
  return { kind: "radial", center, radius, ...shared };
}

function resolveStops(
  stops: readonly StopValue[],
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): Stop[] {
  return stops.map(({ at, color }, index) => ({
    at: resolver.number(at, STOP, `${path}.stops[${index}].at`),
    color: resolveColor(color, palette),
  }));
}

/** A colour as `#RRGGBB` or `#RRGGBBAA`. A palette name that has gone is black, which shows. */
export function resolveColor(color: ColorValue, palette: ReadonlyMap<string, string>): string {
  const name = paletteNameOf(color);
  return name === null ? color : (palette.get(name) ?? "#000000");
}
