import { number } from "../fields/number";
import { pair } from "../fields/pair";
import { toggle } from "../fields/toggle";
import { apply, IDENTITY, invert, multiply, reflection, sizeOf, translation, type Matrix } from "../geometry/matrix";
import { reachFrom } from "../geometry/box";
import { polar } from "../geometry/point";
import type { SymmetryProbe } from "../geometry/symmetry";
import { TOLERANCE } from "../geometry/tolerance";
import { defineRule } from "./definition";
import { packMatrices } from "./pack";

const SQUARE = 90;
const HALF_TURN = 180;

/** The group and its mirror image across a line, slid along the line when there is a glide. */
export const reflect = defineRule({
  kind: "reflect",
  fields: {
    /** Direction of the line: 0° is upright. */
    angle: number("angle", 0),
    through: pair("length", { x: 0, y: 0 }, { single: false }),
    /** Whether the group itself stays beside its image. */
    keep: toggle(true),
    /** How far the image slides along the line, in its direction. */
    glide: number("length", 0),
  },
  // A second mirror stands square to the first.
  again: ({ angle = 0 }) => (typeof angle === "number" ? { angle: (angle + SQUARE) % HALF_TURN } : {}),
  copies: ({ keep }) => (keep ? 2 : 1),
  transforms({ angle, through, keep, glide }, group) {
    const slide = polar(glide, angle);
    const mirror = multiply(translation(slide.x, slide.y), reflection(angle, through));
    const all = keep ? [IDENTITY, mirror] : [mirror];
    return {
      matrices: packMatrices(all.length, (j) => all[j] ?? IDENTITY),
      omits: (j, copy) => keep && j === 1 && liesOnMirror(copy, mirror, group.symmetry()),
    };
  },
  marks({ angle, through }, group) {
    const reach = reachFrom(group.box(), through, 10) * 1.15;
    return [
      { kind: "mirror", through, angle },
      { kind: "direction", field: "angle", centre: through, reach, degrees: angle, from: 0 },
    ];
  },
});

/** Whether a copy is its own mirror image, within tolerance. */
function liesOnMirror(copy: Matrix, mirror: Matrix, symmetry: SymmetryProbe): boolean {
  const centre = apply(copy, symmetry.centre);
  const image = apply(mirror, centre);
  if (Math.hypot(image.x - centre.x, image.y - centre.y) > TOLERANCE * Math.max(1, sizeOf(copy))) return false;
  const back = invert(copy);
  return back !== null && symmetry.isSymmetry(multiply(back, multiply(mirror, copy)));
}
