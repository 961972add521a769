import { toDegrees } from "../../geometry/angle";
import { invert, multiply, type Matrix } from "../../geometry/matrix";
import { matrixAt } from "../../rules/placements";
import type { Goal } from "../definition";

const FULL = 360;

/** The copies of the last rule that turns its copies close the circle: one more would stand on the first, or after some rounds. */
export const closes: Goal = {
  kind: "closes",
  wanted: null,
  first: 0,
  within: 1e-6,
  needsEngine: false,
  measure(scene, part) {
    const placements = scene.parts.find(({ id }) => id === part)?.geometry.copies.placements;
    const span = placements?.spans.findLast(({ copies }) => copies > 1);
    if (!placements || !span || placements.slots) return null;
    const [first, second] = [matrixAt(placements.matrices, 0), matrixAt(placements.matrices, span.groupSize)];
    const back = invert(first);
    const turn = back && turnOf(multiply(second, back));
    if (turn === null || turn === 0) return null;
    const whole = turn * span.copies;
    const rounds = Math.max(1, Math.round(Math.abs(whole) / FULL)) * Math.sign(whole);
    return whole - rounds * FULL;
  },
};

/** Degrees a map turns by, upwards of −180; null for one that mirrors. */
function turnOf([a, b, c, d]: Matrix): number | null {
  return a * d - b * c > 0 ? toDegrees(Math.atan2(b - c, a + d)) : null;
}
