import { paletteNameOf } from "../design/colors";
import type {
  ColorValue,
  FillValue,
  Finish,
  GradientFill,
  LineValue,
  PoolsFill,
  ShadeValue,
  StopValue,
} from "../design/design";
import type { Resolver } from "../design/resolver";
import {
  DASH,
  FACET_SIZE,
  GRAIN_SIZE,
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  LINE_WIDTH,
  OPACITY,
  POOL_REACH,
  POOL_REACH_DEFAULT,
  SEED,
  SHADE_BLUR,
  SHADE_PLACE,
  STOP,
} from "../design/designLimits";
import type { Effects, Shade } from "./effects/effects";
import type { LineShape } from "./line/lineShape";
import { colorsOfFill } from "../design/fillColors";
import type { FacePainting, Paint, Stop } from "./paint";

/** A line's shape and what it is painted with. */
export interface ResolvedLine extends LineShape {
  readonly paint: Paint;
}

/** How copies are painted, with every number and palette colour known. */
export interface ResolvedFinish {
  readonly fill: Paint | null;
  readonly line: ResolvedLine | null;
  /** 0…1, of every copy. */
  readonly opacity: number;
  readonly effects: Effects;
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
    effects: resolveEffects(finish, palette, resolver, path),
  };
}

function resolveEffects(
  { grain, texture, shadow, innerShadow, glow }: Finish,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): Effects {
  const shade = (value: ShadeValue | null, name: string): Shade | null =>
    value && {
      color: resolveColor(value.color, palette),
      x: resolver.number(value.x, SHADE_PLACE, `${path}.${name}.x`),
      y: resolver.number(value.y, SHADE_PLACE, `${path}.${name}.y`),
      blur: resolver.number(value.blur, SHADE_BLUR, `${path}.${name}.blur`),
      opacity: resolver.number(value.opacity, OPACITY, `${path}.${name}.opacity`),
    };
  return {
    shadow: shade(shadow, "shadow"),
    innerShadow: shade(innerShadow, "innerShadow"),
    glow: shade(glow, "glow"),
    grain: grain && {
      amount: resolver.number(grain.amount, OPACITY, `${path}.grain.amount`),
      size: resolver.number(grain.size, GRAIN_SIZE, `${path}.grain.size`),
      seed: resolver.number(grain.seed, SEED, `${path}.grain.seed`),
      mono: grain.mono,
    },
    texture: texture && {
      kind: texture.kind,
      size: resolver.number(texture.size, FACET_SIZE, `${path}.texture.size`),
      strength: resolver.number(texture.strength, OPACITY, `${path}.texture.strength`),
      seed: resolver.number(texture.seed, SEED, `${path}.texture.seed`),
    },
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
    dots: line.dots && { gap: resolver.number(line.dots.gap, DASH, `${path}.dots.gap`) },
    swell: line.swell.map(({ at, width }, index) => ({
      at: resolver.number(at, STOP, `${path}.swell[${index}].at`),
      value: resolver.number(width, LINE_WIDTH, `${path}.swell[${index}].width`),
    })),
    place: line.place,
  };
}

function resolvePaint(fill: FillValue, palette: ReadonlyMap<string, string>, resolver: Resolver, path: string): Paint {
  if (typeof fill === "string") return { kind: "flat", color: resolveColor(fill, palette) };
  if (fill.kind === "ramp") {
    return { kind: "ramp", stops: resolveStops(fill.stops, palette, resolver, path), by: fill.by };
  }
  if (fill.kind === "pools") return resolvePools(fill, palette, resolver, path);
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

/** What a face is painted with; colours that would take turns over copies count as their first. */
export function resolveFacePaint(
  fill: FillValue,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): FacePainting {
  const paint = resolvePaint(fill, palette, resolver, path);
  if (paint.kind === "flat" || paint.kind === "linear" || paint.kind === "radial" || paint.kind === "pools")
    return paint;
  return { kind: "flat", color: resolveColor(colorsOfFill(fill)[0] ?? "#000000", palette) };
}

function resolvePools(
  { points, over }: PoolsFill,
  palette: ReadonlyMap<string, string>,
  resolver: Resolver,
  path: string,
): Paint {
  const pools = points.map(({ x, y, color, reach = POOL_REACH_DEFAULT }, index) => ({
    x: resolver.number(x, GRADIENT_PLACE, `${path}.points[${index}].x`),
    y: resolver.number(y, GRADIENT_PLACE, `${path}.points[${index}].y`),
    reach: resolver.number(reach, POOL_REACH, `${path}.points[${index}].reach`),
    color: resolveColor(color, palette),
  }));
  return { kind: "pools", points: pools, over };
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
