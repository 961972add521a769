import type { Loop } from "../boolean/loop";
import { CELLS_PER_MILLIMETRE, facetsOf } from "../boolean/facets";
import { chordIndexOf, recoverCurves } from "../boolean/recover";
import { coincide, SAME_PLACE } from "../coincide/coincide";
import { OUTLINE_EFFORT, spendOnOutlines } from "../effortOfOutlines";
import { areaOfPath, type Path } from "../path";
import type { Point } from "../point";
import { rejoined } from "../rejoin";
import { standardSizeOf, type StandardSize } from "../standardSize";
import { cyclesOf, type Cycle } from "./cycles";
import { coversOf, groupsOf, nest, walksByFace } from "./faceFacts";
import { halfEdgesOf, type HalfEdges } from "./halfEdges";
import { Nodes } from "../boolean/nodes";
import { outlineEdges } from "./outlineEdges";
import { splitEdges } from "./splitEdges";
import { AS_ONE, FLATTENED_WITHIN } from "../boolean/tolerance";

/** A closed region bounded by outlines, millimetres. */
export interface Face {
  /** Its boundary and its holes, filled by the nonzero rule. */
  readonly outline: Path;
  /** The numbers of the outlines that cover it, ascending. */
  readonly covering: readonly number[];
  /** Square millimetres. */
  readonly area: number;
  /** The centre of its area. */
  readonly centre: Point;
  /** 0 or 1, so that coloured faces with an edge in common differ wherever that is possible. */
  readonly group: 0 | 1;
}

/** The faces that outlines divide the plane into. */
interface Arrangement {
  readonly faces: readonly Face[];
  /** Counts for Euler's formula: nodes − edges + (bounded faces + 1) = 1 + components. */
  readonly nodes: number;
  readonly edges: number;
  readonly bounded: number;
  readonly components: number;
}

/**
 * The closed regions that outlines bound together. Lines that do not close bound faces where they cross others,
 * and cover nothing. Curves stay the curves they were, cut where outlines cross.
 * Throws a TooMuchEffort.
 */
export function arrange(
  outlines: readonly Path[],
  /** Which faces are coloured at all, by what covers them. */
  isColored: (covering: readonly number[]) => boolean = () => true,
): Arrangement {
  const size = standardSizeOf(outlines);
  if (!size) return { faces: [], nodes: 0, edges: 0, bounded: 0, components: 0 };
  spendOnOutlines(outlines, OUTLINE_EFFORT.faced);
  const { paths: settled } = coincide(outlines.map(size.to), SAME_PLACE, "open");
  const facets = facetsOf(settled, FLATTENED_WITHIN, "open");
  const nodes = new Nodes();
  const edges = splitEdges(outlineEdges(settled, facets, nodes).flat(), nodes);
  const halves = halfEdgesOf(edges, nodes);
  const { cycles, cycleOf } = cyclesOf(halves, nodes);
  const nests = nest(cycles, halves, nodes);
  const walksOf = walksByFace(nests);
  const covers = coversOf(cycles, cycleOf, nests, walksOf, halves);
  const groups = groupsOf(cycles, cycleOf, nests, walksOf, covers, isColored);
  const index = chordIndexOf(facets);
  const faces = cycles.flatMap((cycle, number): Face[] => {
    if (cycle.area <= 0) return [];
    const walks = (walksOf.get(number) ?? []).flatMap((walk) => cycles[walk] ?? []);
    const loops = walks.map((walk) => loopOf(walk, halves, nodes));
    const outline = size.back(rejoined(recoverCurves(loops, facets, index), AS_ONE));
    if (outline.length === 0) return [];
    const group = groups[number] === 1 ? 1 : 0;
    return [
      {
        outline,
        covering: covers[number] ?? [],
        group,
        area: areaOfPath(outline),
        centre: centreOf(walks, halves, nodes, size),
      },
    ];
  });
  const used = halves.next.filter((next) => next !== -1).length;
  return {
    faces,
    nodes: new Set(halves.origin.filter((_, half) => halves.next[half] !== -1)).size,
    edges: used / 2,
    bounded: cycles.filter(({ area }) => area > 0).length,
    components: cycles.filter(({ area }) => area <= 0).length,
  };
}

function loopOf({ halves }: Cycle, { origin }: HalfEdges, { x, y, vertex }: Nodes): Loop {
  return halves.map((half) => {
    const node = origin[half] ?? 0;
    return { x: x[node] ?? 0, y: y[node] ?? 0, vertex: vertex[node] ?? 0 };
  });
}

/** The centre of a face's area, from its flattened walks, by Green's theorem. */
function centreOf(walks: readonly Cycle[], { origin }: HalfEdges, { x, y }: Nodes, size: StandardSize): Point {
  let [twice, mx, my] = [0, 0, 0];
  for (const half of walks.flatMap(({ halves }) => halves)) {
    const [p, q] = [origin[half] ?? 0, origin[half ^ 1] ?? 0];
    const [px, py, qx, qy] = [x[p] ?? 0, y[p] ?? 0, x[q] ?? 0, y[q] ?? 0];
    const cross = px * qy - qx * py;
    twice += cross;
    mx += (px + qx) * cross;
    my += (py + qy) * cross;
  }
  const cells = 3 * twice * CELLS_PER_MILLIMETRE * size.scale;
  return { x: mx / cells + size.x, y: my / cells + size.y };
}
