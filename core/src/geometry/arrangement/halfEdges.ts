import type { Nodes } from "../boolean/nodes";
import type { Edge } from "./splitEdges";
import { addTo } from "../keyedLists";

/** How often, and which way, an outline runs along an edge: +1 with it, −1 against it. */
interface Passage {
  readonly source: number;
  readonly way: 1 | -1;
}

/** Edges that meet only at nodes, each once, as pairs of half-edges: 2e runs one way, 2e + 1 back. */
export interface HalfEdges {
  /** Two for each edge. */
  readonly count: number;
  /** The node each half-edge leaves. */
  readonly origin: Int32Array;
  /** The half-edge that goes on round the same face; -1 for edges left out. */
  readonly next: Int32Array;
  /** For each edge the outlines that run along it. */
  readonly passages: readonly (readonly Passage[])[];
}

/** Edges that coincide become one; ends that lead nowhere, and edges with one face on both sides, are left out. */
export function halfEdgesOf(edges: readonly Edge[], nodes: Nodes): HalfEdges {
  const numbers = new Map<number, number>();
  const origins: number[] = [];
  const passages: Passage[][] = [];
  const size = nodes.x.length;
  for (const { from, to, source } of edges) {
    const [low, high] = from < to ? [from, to] : [to, from];
    const key = low * size + high;
    let edge = numbers.get(key);
    if (edge === undefined) {
      edge = passages.length;
      numbers.set(key, edge);
      origins.push(low, high);
      passages.push([]);
    }
    if (source >= 0) passages[edge]?.push({ source, way: from === low ? 1 : -1 });
  }
  const origin = Int32Array.from(origins);
  const kept = new Uint8Array(passages.length).fill(1);
  pruneEnds(origin, kept, size);
  let next = nextOf(origin, kept, nodes);
  while (dropBridges(next, kept)) next = nextOf(origin, kept, nodes);
  return { count: origin.length, origin, next, passages };
}

/** Leaves out, one after another, edges that end in the open. */
function pruneEnds(origin: Int32Array, kept: Uint8Array, size: number): void {
  const degree = new Int32Array(size);
  const at: number[][] = Array.from({ length: size }, () => []);
  origin.forEach((node, half) => {
    degree[node] = (degree[node] ?? 0) + 1;
    at[node]?.push(half);
  });
  const open = [...degree.keys()].filter((node) => degree[node] === 1);
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    const half = at[node]?.find((known) => kept[known >> 1] === 1);
    if (half === undefined) continue;
    kept[half >> 1] = 0;
    const other = origin[half ^ 1] ?? 0;
    degree[node] = 0;
    degree[other] = (degree[other] ?? 0) - 1;
    if (degree[other] === 1) open.push(other);
  }
}

/** At the end of a half-edge, the next one round the face is the one just before its twin, going round the node. */
function nextOf(origin: Int32Array, kept: Uint8Array, { x, y }: Nodes): Int32Array {
  const around = new Map<number, number[]>();
  origin.forEach((node, half) => {
    if (kept[half >> 1] !== 1) return;
    addTo(around, node, half);
  });
  const next = new Int32Array(origin.length).fill(-1);
  for (const [node, halves] of around) {
    const way = (half: number) => {
      const to = origin[half ^ 1] ?? 0;
      return { x: (x[to] ?? 0) - (x[node] ?? 0), y: (y[to] ?? 0) - (y[node] ?? 0) };
    };
    halves.sort((a, b) => compareDirections(way(a), way(b)));
    halves.forEach((half, index) => {
      next[half ^ 1] = halves[(index + halves.length - 1) % halves.length] ?? half;
    });
  }
  return next;
}

interface Way {
  readonly x: number;
  readonly y: number;
}

/** Orders directions around a node; exact, since coordinates are whole. */
function compareDirections(a: Way, b: Way): number {
  const half = ({ x, y }: Way) => (y > 0 || (y === 0 && x > 0) ? 0 : 1);
  return half(a) - half(b) || b.x * a.y - b.y * a.x;
}

/** Leaves out edges that have the same face on both sides; answers whether there were any. */
function dropBridges(next: Int32Array, kept: Uint8Array): boolean {
  const cycle = new Int32Array(next.length).fill(-1);
  for (let start = 0; start < next.length; start++) {
    if (next[start] === -1 || cycle[start] !== -1) continue;
    for (let half = start; cycle[half] === -1; half = next[half] ?? start) cycle[half] = start;
  }
  let found = false;
  for (let edge = 0; edge < kept.length; edge++) {
    if (kept[edge] !== 1 || cycle[2 * edge] !== cycle[2 * edge + 1]) continue;
    kept[edge] = 0;
    found = true;
  }
  return found;
}
