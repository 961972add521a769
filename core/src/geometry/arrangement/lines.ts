import type { Area } from "../area";
import { CELLS_PER_MILLIMETRE, facetsOf, type Facets } from "../boolean/facets";
import { chordIndexOf, recoverLine } from "../boolean/recover";
import type { Path } from "../path";
import { Nodes } from "../boolean/nodes";
import { outlineEdges } from "./outlineEdges";
import { splitEdges, type Edge } from "./splitEdges";
import { AS_ONE, FLATTENED_WITHIN } from "../boolean/tolerance";
import { coincide, SAME_PLACE } from "../coincide/coincide";
import { OUTLINE_EFFORT, spendOnOutlines } from "../effortOfOutlines";
import { addTo } from "../keyedLists";
import type { Point } from "../point";
import { rejoined } from "../rejoin";
import { standardSizeOf } from "../standardSize";
import { TOLERANCE } from "../tolerance";

/**
 * Outlines with every doubled stretch drawn once: whole where nothing of them has been drawn before, otherwise as the
 * lines that are left of them. In the order given. What is nearer than the tolerance of the sheet is doubled.
 */
export function withoutDoubled(outlines: readonly Path[]): Path[] {
  const size = standardSizeOf(outlines);
  if (!size) return [...outlines];
  const within = Math.max(SAME_PLACE, Math.min(LARGEST_TOLERANCE, TOLERANCE * size.scale));
  const lines = linesOf(outlines.map(size.to), within);
  const drawn = new Set<number>();
  return outlines.map((outline, source) => {
    const edges = lines.edgesOf.get(source) ?? [];
    const fresh = edges.map((edge) => !drawn.has(lines.key(edge)) && drawn.add(lines.key(edge)) !== undefined);
    return fresh.every(Boolean) ? outline : size.back(lines.draw(edges.filter((_, at) => fresh[at])));
  });
}

/** The stretches of lines that lie inside an area, or outside it. */
export function clipLines(lines: Path, area: Area, keep: "inside" | "outside"): Path {
  return lines.flatMap((line) => {
    const size = standardSizeOf([[line], area.path]);
    if (!size) return [];
    const { edgesOf, middle, draw } = linesOf([[line], area.path].map(size.to), SAME_PLACE);
    const isKept = (edge: Edge) => {
      const { x, y } = middle(edge);
      return area.contains({ x: x / size.scale + size.x, y: y / size.scale + size.y }) === (keep === "inside");
    };
    return size.back(draw((edgesOf.get(0) ?? []).filter(isKept)));
  });
}

/** At the standard size, the most that is still taken for the same line, millimetres. */
const LARGEST_TOLERANCE = 0.05;

/** Outlines as edges that meet only at nodes. */
interface Lines {
  /** The edges of each outline, in the order they are travelled. */
  readonly edgesOf: ReadonlyMap<number, readonly Edge[]>;
  /** The same number for edges between the same nodes. */
  readonly key: (edge: Edge) => number;
  /** The middle of an edge, millimetres. */
  readonly middle: (edge: Edge) => Point;
  /** Edges with their curves back, those that follow one another as one line. */
  readonly draw: (edges: readonly Edge[]) => Path;
}

function linesOf(outlines: readonly Path[], within: number): Lines {
  spendOnOutlines(outlines, OUTLINE_EFFORT.split);
  const { paths: settled } = coincide(outlines, within, "open");
  const facets = facetsOf(settled, FLATTENED_WITHIN, "open");
  const nodes = new Nodes();
  const index = chordIndexOf(facets);
  const raw = outlineEdges(settled, facets, nodes);
  // Split all together, but remember whose each edge is.
  const owned = raw.flatMap((edges, outline) => edges.map((edge) => ({ ...edge, source: outline })));
  const edgesOf = new Map<number, Edge[]>();
  for (const edge of splitEdges(owned, nodes)) addTo(edgesOf, edge.source, edge);
  const halfway = (values: readonly number[], { from, to }: Edge) =>
    ((values[from] ?? 0) + (values[to] ?? 0)) / 2 / CELLS_PER_MILLIMETRE;
  return {
    edgesOf,
    key: ({ from, to }) => Math.min(from, to) * nodes.x.length + Math.max(from, to),
    middle: (edge) => ({ x: halfway(nodes.x, edge), y: halfway(nodes.y, edge) }),
    draw: (edges) => rejoined(recovered(edges, nodes, facets, index), AS_ONE),
  };
}

/** Edges that follow one another, given their curves back. */
function recovered(edges: readonly Edge[], nodes: Nodes, facets: Facets, index: ReturnType<typeof chordIndexOf>): Path {
  return chainsOf(edges).flatMap((chain) =>
    recoverLine(
      chain.map((node) => ({ x: nodes.x[node] ?? 0, y: nodes.y[node] ?? 0, vertex: nodes.vertex[node] ?? 0 })),
      facets,
      index,
    ),
  );
}

/** Edges that follow one another, as lists of nodes. */
function chainsOf(edges: readonly Edge[]): number[][] {
  const chains: number[][] = [];
  for (const { from, to } of edges) {
    const last = chains.at(-1);
    if (last && last.at(-1) === from) last.push(to);
    else chains.push([from, to]);
  }
  return chains;
}
