import type { Area } from "../area";
import { CELLS_PER_MILLIMETRE, facetsOf, type Facets } from "../boolean/facets";
import { chordIndexOf, recoverLine } from "../boolean/recover";
import type { Path } from "../path";
import { Nodes } from "../boolean/nodes";
import { outlineEdges } from "./outlineEdges";
import { splitEdges, type Edge } from "./splitEdges";
import { ARRANGED_WITHIN } from "./tolerance";
import { addTo } from "../keyedLists";

/**
 * Outlines with every doubled stretch drawn once: whole where nothing of them has been drawn before, otherwise as the
 * lines that are left of them. In the order given.
 */
export function withoutDoubled(outlines: readonly Path[]): Path[] {
  const facets = facetsOf(outlines, ARRANGED_WITHIN, "open");
  const nodes = new Nodes();
  const index = chordIndexOf(facets);
  const raw = outlineEdges(outlines, facets, nodes);
  // Split all together, but remember whose each edge is.
  const owned = splitEdges(
    raw.flatMap((edges, outline) => edges.map((edge) => ({ ...edge, source: outline }))),
    nodes,
  );
  const drawn = new Set<number>();
  const key = ({ from, to }: Edge) => Math.min(from, to) * nodes.x.length + Math.max(from, to);
  const edgesOf = new Map<number, Edge[]>();
  for (const edge of owned) addTo(edgesOf, edge.source, edge);
  return outlines.map((outline, source) => {
    const edges = edgesOf.get(source) ?? [];
    const fresh = edges.map((edge) => !drawn.has(key(edge)) && drawn.add(key(edge)) !== undefined);
    if (fresh.every(Boolean)) return outline;
    return linesOf(
      edges.filter((_, at) => fresh[at]),
      nodes,
      facets,
      index,
    );
  });
}

/** The stretches of lines that lie inside an area, or outside it. */
export function clipLines(lines: Path, area: Area, keep: "inside" | "outside"): Path {
  return lines.flatMap((line) => {
    const outlines = [[line], area.path];
    const facets = facetsOf(outlines, ARRANGED_WITHIN, "open");
    const nodes = new Nodes();
    const raw = outlineEdges(outlines, facets, nodes);
    const edges = splitEdges(
      raw.flatMap((own, outline) => own.map((edge) => ({ ...edge, source: outline }))),
      nodes,
    );
    const middle = ({ from, to }: Edge) => ({
      x: ((nodes.x[from] ?? 0) + (nodes.x[to] ?? 0)) / 2 / CELLS_PER_MILLIMETRE,
      y: ((nodes.y[from] ?? 0) + (nodes.y[to] ?? 0)) / 2 / CELLS_PER_MILLIMETRE,
    });
    const kept = edges.filter((edge) => edge.source === 0 && area.contains(middle(edge)) === (keep === "inside"));
    return linesOf(kept, nodes, facets, chordIndexOf(facets));
  });
}

/** Edges that follow one another, given their curves back. */
function linesOf(edges: readonly Edge[], nodes: Nodes, facets: Facets, index: ReturnType<typeof chordIndexOf>): Path {
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
