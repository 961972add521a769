import type { ResolvedOf } from "../fields/field";
import { choice } from "../fields/choice";
import { number } from "../fields/number";
import { record } from "../fields/record";

/** How a solid's edges are taken off. */
export const EDGE_SHAPES = ["round", "bevel"] as const;
/** Which edges are. */
export const EDGE_PLACES = ["both", "top", "bottom"] as const;

/** Edges rounded or bevelled: by how much, in how many steps, and which. */
export const EDGE = record({
  shape: choice(EDGE_SHAPES, "round"),
  /** Millimetres inwards and upwards. */
  size: number("length", 0, { min: 0, step: 0.1 }),
  steps: number("count", 6, { max: 64 }),
  at: choice(EDGE_PLACES, "both"),
});

/** Edges, with numbers known. */
export type Edge = ResolvedOf<typeof EDGE.fields>;

/** How far within the outline a solid stands at a height. Millimetres. */
export interface InsetLevel {
  /** From the outline inwards. */
  readonly inset: number;
  /** Above the solid's foot. */
  readonly z: number;
}

/** An area's edges may reach in so far at most: where all of it is nearer to its edge, it comes to a crown. */
export interface EdgeRoom {
  /** How far the point furthest from the area's edge is from it. Millimetres. */
  readonly reach: number;
  /** Whether what is left of the area falls into pieces, so that a bevel needs levels between. */
  readonly splits: boolean;
}

/** What is left of an area at its crown, as a share of its reach: what is within is flat. */
export const CROWN = 1e-3;

/** The levels at which a solid of so much depth changes, from its foot up. Edges reach at most as far as there is depth. */
export function edgeLevels(edge: Edge, depth: number, { reach, splits }: EdgeRoom): InsetLevel[] {
  const size = edgeSize(edge, depth);
  const foot = { inset: 0, z: 0 };
  const head = { inset: 0, z: depth };
  if (size === 0) return [foot, head];
  const steps = edge.shape === "bevel" && !splits && size < reach ? 1 : edge.steps;
  const turned = crowned(
    Array.from({ length: steps + 1 }, (_, k) => profileAt(edge.shape, k / steps, size)),
    reach * (1 - CROWN),
  );
  const lower = edge.at === "top" ? [foot] : turned;
  const upper = edge.at === "bottom" ? [head] : turned.map(({ inset, z }) => ({ inset, z: depth - z })).reverse();
  const [last, first] = [lower.at(-1), upper[0]];
  // Edges that meet half way leave no wall between them.
  return last && first && first.z - last.z < 1e-9 ? [...lower, ...upper.slice(1)] : [...lower, ...upper];
}

/** A share of the way up an edge, from furthest in to the outline itself. */
function profileAt(shape: Edge["shape"], share: number, size: number): InsetLevel {
  if (shape === "bevel") return { inset: size * (1 - share), z: size * share };
  const angle = (Math.PI / 2) * share;
  return { inset: share === 1 ? 0 : size * (1 - Math.sin(angle)), z: size * (1 - Math.cos(angle)) };
}

/** Levels from where there is something left of the area: the first is set where the way in reaches `most`. */
function crowned(levels: readonly InsetLevel[], most: number): InsetLevel[] {
  const first = levels.findIndex(({ inset }) => inset <= most);
  const [beyond, within] = [levels[first - 1], levels[first]];
  if (first <= 0 || !beyond || !within) return [...levels];
  const share = (most - within.inset) / (beyond.inset - within.inset);
  return [{ inset: most, z: within.z + (beyond.z - within.z) * share }, ...levels.slice(first)];
}

/** How far edges reach in a solid of so much depth. Millimetres. */
export function edgeSize({ size, at }: Edge, depth: number): number {
  return Math.min(size, at === "both" ? depth / 2 : depth);
}
