import { isWithin, type Cycle } from "./cycles";
import type { HalfEdges } from "./halfEdges";
import type { Nodes } from "../boolean/nodes";
import { addTo } from "../keyedLists";

/** For each walk around a hole or an outside the face it lies in, -1 for the unbounded one; faces' own walks, themselves. */
export function nest(cycles: readonly Cycle[], halves: HalfEdges, nodes: Nodes): number[] {
  return cycles.map((cycle, number) => {
    if (cycle.area > 0) return number;
    const own = cycle.halves.reduce((best, half) => (xOf(half) < xOf(best) ? half : best));
    const node = halves.origin[own] ?? 0;
    const [px, py] = [nodes.x[node] ?? 0, nodes.y[node] ?? 0];
    let found = -1;
    cycles.forEach((other, index) => {
      if (other.area <= -cycle.area || !isWithin(px - 0.25, py + 0.25, other, halves, nodes)) return;
      if (found < 0 || other.area < (cycles[found]?.area ?? Infinity)) found = index;
    });
    return found;
  });

  function xOf(half: number): number {
    return nodes.x[halves.origin[half] ?? 0] ?? 0;
  }
}

/** For each face, and -1 for the unbounded one, the numbers of the walks that bound it. */
type WalksByFace = ReadonlyMap<number, readonly number[]>;

/** For each face the walks along its boundaries. */
export function walksByFace(nests: readonly number[]): WalksByFace {
  const walks = new Map<number, number[]>();
  nests.forEach((face, walk) => addTo(walks, face, walk));
  return walks;
}

/** For each face the outlines that cover it, found by walking from face to face, outside in, across edges. */
export function coversOf(
  cycles: readonly Cycle[],
  cycleOf: Int32Array,
  nests: readonly number[],
  walksOf: WalksByFace,
  { passages }: HalfEdges,
): number[][] {
  const windings: (ReadonlyMap<number, number> | undefined)[] = [];
  // A walk is reached from another's winding, across one of its edges or across none.
  const open: { cycle: number; from: ReadonlyMap<number, number>; half: number }[] = [];
  for (const cycle of walksOf.get(-1) ?? []) open.push({ cycle, from: new Map(), half: -1 });
  for (let step = open.pop(); step; step = open.pop()) {
    const { cycle, from, half } = step;
    if (windings[cycle]) continue;
    const winding = half < 0 ? from : crossed(from, passages[half >> 1] ?? [], half % 2 === 0 ? -1 : 1);
    windings[cycle] = winding;
    const face = nests[cycle] ?? -1;
    if (face >= 0) for (const walk of walksOf.get(face) ?? []) open.push({ cycle: walk, from: winding, half: -1 });
    for (const next of cycles[cycle]?.halves ?? []) {
      const across = cycleOf[next ^ 1] ?? -1;
      if (across >= 0 && !windings[across]) open.push({ cycle: across, from: winding, half: next });
    }
  }
  return cycles.map((_, number) => [...(windings[number]?.keys() ?? [])].sort((a, b) => a - b));
}

/** Groups that alternate from coloured face to coloured face, beginning where fewest outlines cover. */
export function groupsOf(
  cycles: readonly Cycle[],
  cycleOf: Int32Array,
  nests: readonly number[],
  walksOf: WalksByFace,
  covers: readonly (readonly number[])[],
  isColored: (covering: readonly number[]) => boolean,
): Int8Array {
  const groups = new Int8Array(cycles.length).fill(-1);
  const depth = (face: number) => covers[face]?.length ?? 0;
  const takesPart = (face: number) => isColored(covers[face] ?? []);
  const faces = cycles.flatMap(({ area }, number) => (area > 0 && takesPart(number) ? [number] : []));
  for (const start of [...faces].sort((a, b) => depth(a) - depth(b) || a - b)) {
    if (groups[start] !== -1) continue;
    groups[start] = 0;
    const open = [start];
    for (let face = open.pop(); face !== undefined; face = open.pop()) {
      for (const half of (walksOf.get(face) ?? []).flatMap((walk) => cycles[walk]?.halves ?? [])) {
        const across = nests[cycleOf[half ^ 1] ?? -1] ?? -1;
        if (across < 0 || groups[across] !== -1 || !takesPart(across)) continue;
        groups[across] = groups[face] === 0 ? 1 : 0;
        open.push(across);
      }
    }
  }
  return groups;
}

/** The windings on the other side of an edge. Outlines that do not wind about it are left out, or every face would know all of them. */
function crossed(
  winding: ReadonlyMap<number, number>,
  passages: HalfEdges["passages"][number],
  side: 1 | -1,
): Map<number, number> {
  const next = new Map(winding);
  for (const { source, way } of passages) {
    const winds = (next.get(source) ?? 0) + side * way;
    if (winds === 0) next.delete(source);
    else next.set(source, winds);
  }
  return next;
}
