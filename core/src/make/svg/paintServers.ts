import type { VariedPaint } from "../../finish/fills/fill";
import type { PlacedGradient } from "../../finish/gradient";
import { reachOfLine } from "../../geometry/strip/lineShape";
import { changesWithin, overOf, placePaint, type EachPaint, type Paint } from "../../finish/paint";
import type { PlacedRaster } from "../../finish/pools";
import type { Box } from "../../geometry/box";
import { invert } from "../../geometry/matrix";
import { boxOfPath } from "../../geometry/path";
import { matrixAt } from "../../rules/placements";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
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
export function paintServerLines({ id, geometry, finish }: PartScene): string[] {
  const of = (property: PaintProperty, paint: Paint | null, reach: number) => {
    if (paint?.kind === "each") return eachLines(id, property, paint, geometry);
    if (!paint || !isServed(paint) || overOf(paint) === "line") return [];
    if (overOf(paint) === "copy") {
      return geometry.shapes.map(({ path }, shape) =>
        serverLine(serverName(id, property, shape), paint, boxOfPath(path), reach, null),
      );
    }
    const whole = boxOfGeometry(geometry);
    const { count, matrices } = geometry.placements;
    return Array.from({ length: count }, (_, copy) => {
      const back = (invert(matrixAt(matrices, copy)) ?? [1, 0, 0, 1, 0, 0]).map((entry) => decimals(entry, 7));
      return serverLine(serverName(id, property, copy), paint, whole, reach, `matrix(${back.join(" ")})`);
    });
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
  const whole = boxOfGeometry(geometry);
  return paints.flatMap((paint, shape) => {
    if (!paint || !isServed(paint)) return [];
    const box = overOf(paint) === "whole" ? whole : boxOfPath(geometry.shapes[shape]?.path ?? []);
    return [serverLine(serverName(id, property, shape), paint, box, 0, null)];
  });
}

function serverLine(name: string, paint: ServedPaint, box: Box, reach: number, transform: string | null): string {
  const placed = placePaint(paint, box, reach);
  if (placed.kind === "picture") return pictureLine(name, placed, transform);
  const carried = transform === null ? "" : attribute("gradientTransform", transform);
  return gradientLine(name, placed, carried);
}

function pictureLine(name: string, { raster, box }: PlacedRaster, transform: string | null): string {
  const own: Box = { left: 0, top: 0, right: box.right - box.left, bottom: box.bottom - box.top };
  // Viewers differ in where a tile's own space begins, unless it begins at 0.
  const moved = `translate(${decimals(box.left, 5)} ${decimals(box.top, 5)})`;
  const place = [
    attribute("width", decimals(own.right, 5)),
    attribute("height", decimals(own.bottom, 5)),
    attribute("patternTransform", transform === null ? moved : `${transform} ${moved}`),
  ].join("");
  return `<pattern id="${name}" patternUnits="userSpaceOnUse"${place}>${imageElement({ raster, box: own })}</pattern>`;
}

function gradientLine(name: string, gradient: PlacedGradient, transform: string): string {
  const number = (key: string, value: number) => attribute(key, decimals(value, 5));
  const element = gradient.kind === "linear" ? "linearGradient" : "radialGradient";
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
  return `<${element} id="${name}" gradientUnits="userSpaceOnUse"${place.join("")}${transform}>${stops.join("")}</${element}>`;
}
