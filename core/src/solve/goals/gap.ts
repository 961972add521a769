import { clearanceOf } from "../clearance";
import type { Goal } from "../definition";

/** The least gap between a part's copies is a length; at 0 they touch. */
export const gap: Goal = {
  kind: "gap",
  wanted: "length",
  first: 0,
  within: 0.01,
  needsEngine: false,
  measure(scene, part, wanted) {
    const geometry = scene.parts.find(({ id }) => id === part)?.geometry;
    const clearance = geometry ? clearanceOf(geometry.copies) : null;
    return clearance === null ? null : clearance - wanted;
  },
};
