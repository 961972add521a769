import {
  apply,
  boxOfGeometry,
  boxOfPath,
  invert,
  matrixAt,
  placeGradient,
  sizeOf,
  type Gradient,
  type Matrix,
  type PartScene,
  type PlacedGradient,
} from "@twin-petal/core";

type Context = OffscreenCanvasRenderingContext2D;
type Painted = Pick<PartScene["geometry"], "shapes" | "placements">;

/** A function from a copy to its gradient in the copy's own space: one for each outline, or the whole's carried back. */
export function gradientStyles(gradient: Gradient, painted: Painted, part: PartScene) {
  const { shapes, placements } = painted;
  if (gradient.over === "whole") {
    const whole = placeGradient(gradient, boxOfGeometry(part.geometry));
    return (context: Context, copy: number): CanvasGradient =>
      styleOf(context, carried(whole, invert(matrixAt(placements.matrices, copy))));
  }
  const known = new Map<number, CanvasGradient>();
  return (context: Context, copy: number): CanvasGradient => {
    const shape = placements.shapeOf?.[copy] ?? 0;
    const style = known.get(shape) ?? styleOf(context, placeGradient(gradient, boxOfPath(shapes[shape]?.path ?? [])));
    known.set(shape, style);
    return style;
  };
}

function carried(gradient: PlacedGradient, back: Matrix | null): PlacedGradient {
  if (!back) return gradient;
  return gradient.kind === "linear"
    ? { ...gradient, from: apply(back, gradient.from), to: apply(back, gradient.to) }
    : { ...gradient, centre: apply(back, gradient.centre), radius: gradient.radius * sizeOf(back) };
}

function styleOf(context: Context, gradient: PlacedGradient): CanvasGradient {
  const style =
    gradient.kind === "linear"
      ? context.createLinearGradient(gradient.from.x, gradient.from.y, gradient.to.x, gradient.to.y)
      : context.createRadialGradient(
          gradient.centre.x,
          gradient.centre.y,
          0,
          gradient.centre.x,
          gradient.centre.y,
          gradient.radius,
        );
  for (const { at, color } of gradient.stops) style.addColorStop(at, color);
  return style;
}
