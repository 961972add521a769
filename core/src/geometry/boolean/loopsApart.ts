import type { Loop } from "./loop";
import { Nodes } from "./nodes";

/** Crossings of lines through one point lie so far apart on the grid where they cross flatly, in cells. */
const ONE_POINT = 16;

/**
 * The loops of an area, each bounding what hangs together without passing a point. Where an area touches itself in a
 * point, the engine runs on into either piece, as its sweep happens to come by, and where pieces lie side by side a cell of
 * rounding may be left between them: here each edge that arrives at a place is followed by the one that bounds the same
 * piece, and edges that run there and back between two places bound nothing.
 */
export function loopsApart(loops: readonly Loop[]): readonly Loop[] {
  const nodes = new Nodes(ONE_POINT);
  const placed = loops.map((loop) => loop.map(({ x, y }) => nodes.at(x, y)));
  const passes = new Uint32Array(nodes.x.length);
  for (const places of placed) {
    places.forEach((place, at) => {
      if (place !== places.at(at - 1)) passes[place] = (passes[place] ?? 0) + 1;
    });
  }
  if (!passes.some((count) => count > 1)) return loops;
  const edges = withoutThereAndBack(edgesOf(loops, placed), passes);
  return traced(edges, followers(edges, nodes));
}

/** An edge of a loop, from one place to another. */
interface Edge {
  readonly from: number;
  readonly to: number;
  /** What the loop has where the edge begins. */
  readonly start: Loop[number];
}

function edgesOf(loops: readonly Loop[], placed: readonly (readonly number[])[]): Edge[] {
  return loops.flatMap((loop, index) => {
    const places = placed[index] ?? [];
    return loop.flatMap((start, at): Edge[] => {
      const [from = 0, to = 0] = [places[at], places[(at + 1) % places.length]];
      return from === to ? [] : [{ from, to, start }];
    });
  });
}

function withoutThereAndBack(edges: readonly Edge[], passes: Uint32Array): Edge[] {
  const open = new Map<number, number[]>();
  const key = (from: number, to: number) => from * passes.length + to;
  const isGone = new Uint8Array(edges.length);
  edges.forEach(({ from, to }, number) => {
    if ((passes[from] ?? 0) < 2 || (passes[to] ?? 0) < 2) return;
    const back = open.get(key(to, from))?.pop();
    if (back !== undefined) isGone[back] = isGone[number] = 1;
    else open.set(key(from, to), [...(open.get(key(from, to)) ?? []), number]);
  });
  return edges.filter((_, number) => !isGone[number]);
}

/** For each edge the number of the one that goes on round the same piece. */
function followers(edges: readonly Edge[], nodes: Nodes): Int32Array {
  const meeting = nodes.x.map((): Meeting => ({ arriving: [], leaving: [] }));
  edges.forEach(({ from, to }, number) => {
    meeting[from]?.leaving.push(number);
    meeting[to]?.arriving.push(number);
  });
  const follows = new Int32Array(edges.length).fill(-1);
  for (const { arriving, leaving } of meeting) {
    const inTurn = arriving.length > 1 ? aroundPieces(arriving, leaving, edges, nodes) : leaving;
    arriving.forEach((edge, at) => (follows[edge] = inTurn[at] ?? -1));
  }
  return follows;
}

/** The numbers of the edges at a place. */
interface Meeting {
  readonly arriving: number[];
  readonly leaving: number[];
}

/** What leaves a place, in the order of what arrives round the same pieces; as it is where no order can be told. */
function aroundPieces(
  arriving: readonly number[],
  leaving: readonly number[],
  edges: readonly Edge[],
  nodes: Nodes,
): readonly number[] {
  const angle = (from = 0, to = 0) =>
    Math.atan2((nodes.y[to] ?? 0) - (nodes.y[from] ?? 0), (nodes.x[to] ?? 0) - (nodes.x[from] ?? 0));
  const around = [
    ...arriving.map((edge) => ({ edge, leaves: false, angle: angle(edges[edge]?.to, edges[edge]?.from) })),
    ...leaving.map((edge) => ({ edge, leaves: true, angle: angle(edges[edge]?.from, edges[edge]?.to) })),
  ].sort((a, b) => a.angle - b.angle);
  const before = new Map<number, number>();
  for (const [at, { edge, leaves }] of around.entries()) {
    const last = around.at(at - 1);
    if (!last || last.leaves === leaves) return leaving;
    // A piece lies clockwise of the edge that leaves along it, so the next one round arrives from beside it.
    if (!leaves) before.set(edge, last.edge);
  }
  return arriving.map((edge) => before.get(edge) ?? -1);
}

function traced(edges: readonly Edge[], follows: Int32Array): Loop[] {
  const isDone = new Uint8Array(edges.length);
  return edges.flatMap((_, begun) => {
    const loop: Loop[number][] = [];
    for (let at = begun; at >= 0 && !isDone[at]; at = follows[at] ?? -1) {
      isDone[at] = 1;
      const edge = edges[at];
      if (edge) loop.push(edge.start);
    }
    return loop.length > 2 ? [loop] : [];
  });
}
