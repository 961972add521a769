import { placeGradient, type PlacedGradient } from "../finish/gradient";
import { isGradient, type Paint } from "../finish/paint";
import { invert } from "../geometry/matrix";
import { boxOfPath } from "../geometry/path";
import { matrixAt } from "../rules/placements";
import { boxOfGeometry } from "../scene/boxOfGeometry";
import type { PartScene } from "../scene/scene";
import { decimals } from "./decimals";
import { attribute } from "./xml";

type Property = "fill" | "stroke";

/** What a gradient is called: one for each outline, or for each copy where it lies over the whole. */
export function gradientName(part: string, property: Property, number: number): string {
  return `${property}-${part}-${number + 1}`;
}

/** The gradients of a part's finish: in each outline's own space, or the whole's carried back into each copy's. */
export function gradientLines({ id, geometry, finish }: PartScene): string[] {
  const of = (property: Property, paint: Paint | null) => {
    if (!paint || !isGradient(paint)) return [];
    if (paint.over === "copy") {
      return geometry.shapes.map(({ path }, shape) =>
        gradientLine(gradientName(id, property, shape), placeGradient(paint, boxOfPath(path)), ""),
      );
    }
    const whole = placeGradient(paint, boxOfGeometry(geometry));
    const { count, matrices } = geometry.placements;
    return Array.from({ length: count }, (_, copy) => {
      const back = invert(matrixAt(matrices, copy)) ?? [1, 0, 0, 1, 0, 0];
      const transform = attribute("gradientTransform", `matrix(${back.map((entry) => decimals(entry, 7)).join(" ")})`);
      return gradientLine(gradientName(id, property, copy), whole, transform);
    });
  };
  return [...of("fill", finish.fill), ...of("stroke", finish.line?.paint ?? null)];
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
    const clear =
      color.length > 7 ? attribute("stop-opacity", decimals(Number.parseInt(color.slice(7), 16) / 255, 4)) : "";
    return `<stop${number("offset", at)}${attribute("stop-color", color.slice(0, 7))}${clear}/>`;
  });
  return `<${element} id="${name}" gradientUnits="userSpaceOnUse"${place.join("")}${transform}>${stops.join("")}</${element}>`;
}
