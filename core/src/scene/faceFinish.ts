import type { ResolvedJoin } from "../design/resolve";
import type { FacePainting, Paint } from "../finish/paint";
import type { ResolvedFinish } from "../finish/resolveFinish";
import type { PartGeometry } from "./scene";

/** A part's finish with its faces' colours: those of the join in turn, or the fill's where the join names none. */
export function faceFinish(
  finish: ResolvedFinish,
  join: ResolvedJoin,
  { colorOf, faceOf }: PartGeometry,
): ResolvedFinish {
  if (!colorOf) return finish;
  const paints = join.colors.length > 0 ? join.colors : paintsIn(finish.fill);
  const own = new Map(join.own.map(({ face, color }) => [face, color === null ? null : flat(color)]));
  const each = Array.from(colorOf, (color, shape) => {
    const name = faceOf?.[shape] ?? "";
    return own.has(name) ? (own.get(name) ?? null) : (paints[color % Math.max(1, paints.length)] ?? null);
  });
  return { ...finish, fill: { kind: "each", paints: each } };
}

const flat = (color: string): FacePainting => ({ kind: "flat", color });

/** A fill's colours one by one; a gradient or pools as they are. */
function paintsIn(fill: Paint | null): readonly (FacePainting | null)[] {
  if (!fill) return [];
  switch (fill.kind) {
    case "flat":
    case "linear":
    case "radial":
    case "pools":
      return [fill];
    case "cycle":
      return fill.colors.map(flat);
    case "each":
      return fill.paints;
    case "ramp":
      return fill.stops.map(({ color }) => flat(color));
  }
}
