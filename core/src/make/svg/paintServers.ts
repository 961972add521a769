import type { VariedPaint } from "../../finish/fills/fill";
import type { PlacedGradient } from "../../finish/gradient";
import { reachOfLine } from "../../geometry/strip/lineShape";
import { changesWithin, colorsOfPaint, overOf, placePaint, type EachPaint, type Paint } from "../../finish/paint";
import type { PlacedPaint } from "../../finish/placedPaint";
import type { PlacedRaster } from "../../finish/pools";
import type { Box } from "../../geometry/box";
import { IDENTITY, invert } from "../../geometry/matrix";
import { boxOfPath } from "../../geometry/path";
import { matrixAt } from "../../rules/placements";
import { wholeBoxOf } from "../../scene/wholeBox";
import type { PartScene } from "../../scene/scene";
import { decimals } from "../../geometry/decimals";
import { imageElement } from "../images/placedImage";
import { attribute } from "../xml";
import { opacityOf, type PaintProperty } from "./colors";

/** Paints that SVG takes from an element of their own. */
type ServedPaint = VariedPaint;

/** Whether a paint needs an element of its own. */
export function isServed(paint: Paint): paint is ServedPaint {
  return changesWithin(paint);
}

/** What such an element is called: one for each outline, or for each copy where it lies over the whole. */
export function serverName(part: string, property: PaintProperty, number: number): string {
  return `${property}-${part}.${number + 1}`;
}

/** The gradients and pools of a part's finish: in each outline's own space, or the whole's carried back into each copy's. */
export function paintServerLines(part: PartScene): string[] {
  const { id, geometry, finish } = part;
  const of = (property: PaintProperty, paint: Paint | null, reach: number) => {
    if (paint?.kind === "each") return eachLines(id, property, paint, geometry);
    if (!paint || !isServed(paint) || overOf(paint) === "line") return [];
    if (overOf(paint) === "copy") {
      return geometry.shapes.map(({ path }, shape) =>
        serverLine(serverName(id, property, shape), paint, boxOfPath(path), reach),
      );
    }
    const placed = placePaint(paint, wholeBoxOf(paint, geometry), reach);
    const shared = placedLine(wholeName(id, property), placed);
    return isOneArea(part) ? [shared] : [shared, ...carriedLines(part, property, placed)];
  };
  const { fill, line } = finish;
  return [...of("fill", fill, 0), ...of("stroke", line?.paint ?? null, line ? reachOfLine(line) : 0)];
}

/** Faces stand where they are: each has its own, over itself or over the whole. */
function eachLines(
  id: string,
  property: PaintProperty,
  { paints }: EachPaint,
  geometry: PartScene["geometry"],
): string[] {
  return paints.flatMap((paint, shape) => {
    if (!paint || !isServed(paint)) return [];
    const box = overOf(paint) === "whole" ? wholeBoxOf(paint, geometry) : boxOfPath(geometry.shapes[shape]?.path ?? []);
    return [serverLine(serverName(id, property, shape), paint, box, 0)];
  });
}

/** What a paint over the whole is called, in the sheet's own space. */
export function wholeName(part: string, property: PaintProperty): string {
  return `${property}-${part}`;
}

/**
 * Whether all copies show one paint over the whole and nothing else: where they lie over each other the same colour shows, so
 * they are painted at once through their outlines.
 */
export function isOneArea({ finish, geometry }: PartScene): boolean {
  const { fill, line, opacity } = finish;
  if (!fill || fill.kind === "each" || !isServed(fill) || overOf(fill) !== "whole") return false;
  if (line !== null || opacity < 1 || geometry.placements.opacity !== null) return false;
  return (
    geometry.shapes.every(({ pieces }) => pieces === null) &&
    colorsOfPaint(fill).every((color) => opacityOf(color) === 1)
  );
}

/** The paint over the whole carried back into each copy's own space. */
function carriedLines({ id, geometry }: PartScene, property: PaintProperty, placed: PlacedPaint): string[] {
  const { count, matrices } = geometry.placements;
  const isPicture = placed.kind === "picture";
  const element = isPicture ? "pattern" : elementOf(placed);
  const moved = isPicture ? ` ${movedTo(placed.box)}` : "";
  const shared = attribute("xlink:href", `#${wholeName(id, property)}`);
  return Array.from({ length: count }, (_, copy) => {
    const back = (invert(matrixAt(matrices, copy)) ?? IDENTITY).map((entry) => decimals(entry, 7)).join(" ");
    const carried = attribute(isPicture ? "patternTransform" : "gradientTransform", `matrix(${back})${moved}`);
    return `<${element} id="${serverName(id, property, copy)}"${shared}${carried}/>`;
  });
}

const elementOf = ({ kind }: PlacedGradient) => (kind === "linear" ? "linearGradient" : "radialGradient");

// Viewers differ in where a tile's own space begins, unless it begins at 0.
const movedTo = ({ left, top }: Box) => `translate(${decimals(left, 5)} ${decimals(top, 5)})`;

function serverLine(name: string, paint: ServedPaint, box: Box, reach: number): string {
  return placedLine(name, placePaint(paint, box, reach));
}

function placedLine(name: string, placed: PlacedPaint): string {
  return placed.kind === "picture" ? pictureLine(name, placed) : gradientLine(name, placed);
}

function pictureLine(name: string, { raster, box }: PlacedRaster): string {
  const own: Box = { left: 0, top: 0, right: box.right - box.left, bottom: box.bottom - box.top };
  const place = [
    attribute("width", decimals(own.right, 5)),
    attribute("height", decimals(own.bottom, 5)),
    attribute("patternTransform", movedTo(box)),
  ].join("");
  return `<pattern id="${name}" patternUnits="userSpaceOnUse"${place}>${imageElement({ raster, box: own })}</pattern>`;
}

function gradientLine(name: string, gradient: PlacedGradient): string {
  const number = (key: string, value: number) => attribute(key, decimals(value, 5));
  const element = elementOf(gradient);
  const place =
    gradient.kind === "linear"
      ? [
          number("x1", gradient.from.x),
          number("y1", gradient.from.y),
          number("x2", gradient.to.x),
          number("y2", gradient.to.y),
        ]
      : [number("cx", gradient.centre.x), number("cy", gradient.centre.y), number("r", gradient.radius)];
  const stops = gradient.stops.map(({ at, color }) => {
    const clear = color.length > 7 ? attribute("stop-opacity", decimals(opacityOf(color), 4)) : "";
    return `<stop${number("offset", at)}${attribute("stop-color", color.slice(0, 7))}${clear}/>`;
  });
  return `<${element} id="${name}" gradientUnits="userSpaceOnUse"${place.join("")}>${stops.join("")}</${element}>`;
}
