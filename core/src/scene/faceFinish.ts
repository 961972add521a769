import type { ResolvedJoin } from "../design/resolve";
import type { Paint } from "../finish/paint";
import type { ResolvedFinish } from "../finish/resolveFinish";
import type { PartGeometry } from "./scene";

/** A part's finish with its faces' colours: those of the join in turn, or the fill's where the join names none. */
export function faceFinish(
  finish: ResolvedFinish,
  join: ResolvedJoin,
  { colorOf, faceOf }: PartGeometry,
): ResolvedFinish {
  if (!colorOf) return finish;
  const colors = join.colors.length > 0 ? join.colors : colorsIn(finish.fill);
  const own = new Map(join.own.map(({ face, color }) => [face, color]));
  const each = Array.from(colorOf, (color, shape) => {
    const name = faceOf?.[shape] ?? "";
    return own.has(name) ? (own.get(name) ?? null) : (colors[color % Math.max(1, colors.length)] ?? null);
  });
  return { ...finish, fill: { kind: "each", colors: each } };
}

function colorsIn(fill: Paint | null): readonly (string | null)[] {
  if (!fill) return [];
  switch (fill.kind) {
    case "flat":
      return [fill.color];
    case "cycle":
    case "each":
      return fill.colors;
    case "ramp":
    case "linear":
    case "radial":
      return fill.stops.map(({ color }) => color);
    case "pools":
      return fill.points.map(({ color }) => color);
  }
}
