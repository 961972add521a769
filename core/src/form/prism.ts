import type { CrossSection } from "manifold-3d";
import type { ResolvedOf } from "../fields/field";
import { number } from "../fields/number";
import { depthWithin, inset, type Rings } from "./area";
import { spendOnCorners } from "./cornerEffort";
import { defineForm, type FormAsked } from "./definition";
import { EDGE, edgeLevels, edgeSize, type EdgeRoom, type InsetLevel } from "./edge";
import { reaching, STANDING } from "./height";
import { pieceByPiece } from "./pieceByPiece";
import { subdivided, type Level, type Warp } from "./levels";

const FIELDS = {
  ...STANDING,
  taper: number("factor", 1, { min: 0, max: 100 }),
  twist: number("angle", 0),
  edge: EDGE,
};
type Prism = ResolvedOf<typeof FIELDS>;

/** The area from `base` to `base + depth`, its upper outline sized by `taper` and turned by `twist` degrees clockwise. */
export const prism = defineForm({
  kind: "prism",
  fields: FIELDS,
  solid(area, given, asked) {
    const values = reaching(given, asked.through);
    const { depth, base, taper, twist, edge } = values;
    if (twist === 0 && edge.size === 0) {
      const plain = asked.arena.keep(area.extrude(depth, 0, 0, [taper, taper]));
      return base === 0 ? plain : asked.arena.keep(plain.translate(0, 0, base));
    }
    // Each piece of an area by itself: a thin one comes to its crown sooner.
    return pieceByPiece(area, asked.arena, (piece) => levelsOf(piece, values, asked), warpOf(values));
  },
});

/** Steps of a twist turn by at most so many degrees. */
const MOST_TURNED = 3;
/** What is drawn to a point keeps so much of its size. */
const LEAST_TAPER = 1e-3;

function levelsOf(area: CrossSection, values: Prism, asked: FormAsked): Level[] {
  const { depth, twist, edge } = values;
  const step = stepOfTwist(area, twist, asked.tolerance);
  const outer = twist === 0 ? area.toPolygons() : subdivided(area.toPolygons(), longestEdge(step, asked.tolerance));
  const storeys = edgeLevels(edge, depth, roomIn(area, edgeSize(edge, depth), asked));
  const ringsAt = ringsBy(area, outer, storeys, asked);
  const levels = storeys.flatMap(({ inset, z }, index): Level[] => {
    const rings = ringsAt(inset);
    const before = storeys[index - 1];
    const turned = before ? (Math.abs(twist) * (z - before.z)) / depth : 0;
    const slabs = before && ringsAt(before.inset) === rings ? Math.max(1, Math.ceil(turned / step)) : 1;
    spendOnCorners(slabs);
    const from = before?.z ?? 0;
    return Array.from({ length: slabs }, (_, k) => ({ rings, z: from + ((z - from) * (k + 1)) / slabs }));
  });
  return levels;
}

function roomIn(area: CrossSection, size: number, { tolerance, arena }: FormAsked): EdgeRoom {
  if (size === 0) return { reach: Infinity, splits: false };
  const left = inset(area, size, tolerance, arena);
  if (left.isEmpty()) return { reach: depthWithin(area, tolerance, arena), splits: true };
  return { reach: Infinity, splits: left.numContour() !== area.numContour() };
}

/** The outlines at each inset, each computed once. */
function ringsBy(area: CrossSection, outer: Rings, storeys: readonly InsetLevel[], { tolerance, arena }: FormAsked) {
  const insets = [...new Set(storeys.map(({ inset }) => inset))].sort((a, b) => a - b);
  const gap = Math.min(...insets.slice(1).map((one, k) => one - (insets[k] ?? 0)));
  // Arcs around inner corners must not cross from one level to the next.
  const finer = Math.min(tolerance, gap / 4);
  const known = new Map<number, Rings>([[0, outer]]);
  return (by: number): Rings => {
    const rings = known.get(by) ?? inset(area, by, finer, arena).toPolygons();
    known.set(by, rings);
    return rings;
  };
}

/** Degrees that one slab of a twisted wall may turn, so that no corner's way leaves its helix by more than the tolerance. */
function stepOfTwist(area: CrossSection, twist: number, tolerance: number): number {
  if (twist === 0) return MOST_TURNED;
  const { min, max } = area.bounds();
  const radius = Math.max(
    Math.hypot(min[0], min[1]),
    Math.hypot(max[0], max[1]),
    Math.hypot(min[0], max[1]),
    Math.hypot(max[0], min[1]),
  );
  if (radius <= tolerance) return MOST_TURNED;
  return Math.min(MOST_TURNED, (2 * Math.acos(1 - tolerance / radius) * 180) / Math.PI);
}

/** An edge of length l in a slab that turns by θ is saddle-shaped, and leaves its two triangles by l·θ/4. */
function longestEdge(step: number, tolerance: number): number {
  return (4 * tolerance) / ((step * Math.PI) / 180);
}

function warpOf({ depth, base, taper, twist }: Prism): Warp {
  const upper = Math.max(taper, LEAST_TAPER);
  return (x, y, z) => {
    const share = z / depth;
    const size = 1 + (upper - 1) * share;
    const angle = (-twist * share * Math.PI) / 180;
    const [c, s] = [Math.cos(angle) * size, Math.sin(angle) * size];
    return [x * c - y * s, x * s + y * c, base + z];
  };
}
