import type { Shape } from "../rules/shape";

const TOLD = "joined copies take the part’s finish; the motif’s own colours show only while they are apart";

/** What is told when a join leaves the motif's own colours behind. */
export function lostColors(shapes: readonly Shape[]): string[] {
  return shapes.some(({ pieces }) => pieces !== null) ? [TOLD] : [];
}
