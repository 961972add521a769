import type { Area } from "../area";
import { CELLS_PER_MILLIMETRE, facetsOf, type Facets } from "../boolean/facets";
import { chordIndexOf, recoverLine } from "../boolean/recover";
import { segmentsOf, type Path, type Subpath } from "../path";
import { Nodes } from "../boolean/nodes";
import { outlineEdges } from "./outlineEdges";
import { splitEdges, type Edge } from "./splitEdges";
import { AS_ONE, FLATTENED_WITHIN } from "../boolean/tolerance";
import { coincide, SAME_PLACE } from "../coincide/coincide";
import { OUTLINE_EFFORT, spendOnOutlines } from "../effortOfOutlines";
import { addTo } from "../keyedLists";
import type { Point } from "../point";
import { rejoined } from "../rejoin";
import { standardSizeOf, type StandardSize } from "../standardSize";
import { TOLERANCE } from "../tolerance";

/**
 * Outlines with every doubled stretch drawn once: whole where nothing of them has been drawn before, otherwise as the
 * lines that are left of them. In the order given. What is nearer than the tolerance of the sheet is doubled.
 */
export function withoutDoubled(outlines: readonly Path[]): Path[] {
  const size = standardSizeOf(outlines);
  if (!size) return [...outlines];
  const lines = linesOf(outlines.map(size.to), doubledWithin(size));
  const drawn = new Set<number>();
  return outlines.map((outline, source) => {
    const edges = lines.edgesOf.get(source) ?? [];
    const fresh = edges.map((edge) => !drawn.has(lines.key(edge)) && drawn.add(lines.key(edge)) !== undefined);
    return fresh.every(Boolean) ? outline : size.back(lines.draw(edges.filter((_, at) => fresh[at])));
  });
}

/**
 * The numbers of outlines that have stretches in common, or stretches that lie on themselves, in groups that hang together
 * by them. Stretches that come to less than the tolerance of the sheet are none.
 */
export function sharingOutlines(outlines: readonly Path[]): number[][] {
  const size = standardSizeOf(outlines);
  if (!size) return [];
  const { edgesOf, key, length } = linesOf(outlines.map(size.to), doubledWithin(size));
  const firstOn = new Map<number, number>();
  const shared = new Map<string, { readonly pair: readonly [number, number]; length: number }>();
  for (const [source, edges] of edgesOf) {
    for (const edge of edges) {
      const first = firstOn.get(key(edge));
      if (first === undefined) firstOn.set(key(edge), source);
      else {
        const found = shared.get(`${first} ${source}`) ?? { pair: [first, source], length: 0 };
        found.length += length(edge);
        shared.set(`${first} ${source}`, found);
      }
    }
  }
  return grouped([...shared.values()].filter((one) => one.length >= TOLERANCE * size.scale).map(({ pair }) => pair));
}

/** Numbers in groups that hang together by pairs, ascending. */
function grouped(pairs: readonly (readonly [number, number])[]): number[][] {
  const groupOf = new Map<number, Set<number>>();
  for (const pair of pairs) {
    const [a, b] = pair.map((number) => groupOf.get(number) ?? new Set([number])).sort((p, q) => q.size - p.size);
    for (const number of [...(a ?? []), ...(b ?? [])]) {
      a?.add(number);
      if (a) groupOf.set(number, a);
    }
  }
  return [...new Set(groupOf.values())].map((group) => [...group].sort((a, b) => a - b));
}

/** Outlines in which what nearly lies on each other, nearer than the tolerance of the sheet, is the same. Millimetres. */
export function withDoubledAsOne(outlines: readonly Path[]): Path[] {
  const size = standardSizeOf(outlines);
  if (!size) return [...outlines];
  return coincide(outlines.map(size.to), doubledWithin(size), "open").paths.map(size.back);
}

/** At the standard size, what is nearer than this is doubled. */
function doubledWithin({ scale }: StandardSize): number {
  return Math.max(SAME_PLACE, Math.min(LARGEST_TOLERANCE, TOLERANCE * scale));
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
  /** How long an edge is, millimetres. */
  readonly length: (edge: Edge) => number;
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
  const across = (values: readonly number[], { from, to }: Edge) => (values[to] ?? 0) - (values[from] ?? 0);
  const halfway = (values: readonly number[], { from, to }: Edge) =>
    ((values[from] ?? 0) + (values[to] ?? 0)) / 2 / CELLS_PER_MILLIMETRE;
  return {
    edgesOf,
    key: ({ from, to }) => Math.min(from, to) * nodes.x.length + Math.max(from, to),
    middle: (edge) => ({ x: halfway(nodes.x, edge), y: halfway(nodes.y, edge) }),
    length: (edge) => Math.hypot(across(nodes.x, edge), across(nodes.y, edge)) / CELLS_PER_MILLIMETRE,
    draw: (edges) => rejoined(recovered(edges, nodes, facets, index).map(closedWhereItBegan), AS_ONE),
  };
}

/** A line that comes back to its beginning has no ends. */
function closedWhereItBegan(line: Subpath): Subpath {
  const segments = segmentsOf(line);
  const [start, end] = [segments[0]?.[0], segments.at(-1)?.[3]];
  return { ...line, closed: start !== undefined && end !== undefined && start.x === end.x && start.y === end.y };
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
