import { WELD, type Nodes } from "../boolean/nodes";
import { heightsWithin } from "../heightsWithin";
import { SquareLists } from "../squareLists";

/** A straight edge between two nodes, and the outline it belongs to. */
export interface Edge {
  /** The node it begins at. */
  readonly from: number;
  /** The node it ends at. */
  readonly to: number;
  /** The number of the outline; -1 for lines, which cover nothing. */
  readonly source: number;
}

/** Edges are split over and over until none cross; rounding seldom asks for more than three rounds. */
const ROUNDS = 12;

/** Edges split wherever they cross, touch or lie on one another, so that they only meet at nodes. */
export function splitEdges(edges: readonly Edge[], nodes: Nodes): Edge[] {
  let current = edges.filter(({ from, to }) => from !== to);
  // Edges left whole in one round need not be compared with each other in the next.
  let isNew = current.map(() => true);
  for (let round = 0; round < ROUNDS; round++) {
    const cuts = cutsBetween(current, isNew, nodes);
    if (cuts.size === 0) return current;
    const pieces = current.map((edge, index) => splitAt(edge, cuts.get(index), nodes));
    isNew = pieces.flatMap((own, index) => own.map(() => cuts.has(index)));
    current = pieces.flat();
  }
  return current;
}

/** The nodes at which an edge is cut, in order along it. */
function splitAt(edge: Edge, cuts: ReadonlySet<number> | undefined, nodes: Nodes): Edge[] {
  if (!cuts) return [edge];
  const { from, to, source } = edge;
  const [dx, dy] = [at(nodes.x, to) - at(nodes.x, from), at(nodes.y, to) - at(nodes.y, from)];
  const along = (node: number) =>
    (at(nodes.x, node) - at(nodes.x, from)) * dx + (at(nodes.y, node) - at(nodes.y, from)) * dy;
  const stops = [from, ...[...cuts].sort((a, b) => along(a) - along(b)), to];
  return stops.slice(1).flatMap((next, index) => {
    const before = stops[index] ?? from;
    return before === next ? [] : [{ from: before, to: next, source }];
  });
}

/** An entry of a list of numbers: what serves lists of every kind takes several times as long in loops as hot as these. */
function at(values: readonly number[], index: number): number {
  return values[index] ?? 0;
}

/** The nodes at which edges are to be cut, where at least one of two that meet is new. */
function cutsBetween(edges: readonly Edge[], isNew: readonly boolean[], nodes: Nodes): Map<number, Set<number>> {
  const cuts = new Map<number, Set<number>>();
  const cut = (edge: number, node: number) => {
    const own = edges[edge];
    if (!own || node === own.from || node === own.to) return;
    const before = cuts.get(edge);
    if (before) before.add(node);
    else cuts.set(edge, new Set([node]));
  };
  const { lists, squaresOf } = sorted(edges, nodes);
  const comparedWith = new Int32Array(edges.length).fill(-1);
  for (let a = 0; a < edges.length; a++) {
    if (!isNew[a]) continue;
    const own = squaresOf[a] ?? [];
    for (let k = 0; k < own.length; k += 2) {
      for (let entry = lists.first(at(own, k), at(own, k + 1)); entry >= 0; entry = lists.next(entry)) {
        const b = lists.valueOf(entry);
        // Of two new ones the later is compared with the earlier.
        if (b === a || comparedWith[b] === a || (b > a && isNew[b])) continue;
        comparedWith[b] = a;
        compare(a, b, edges, nodes, cut);
      }
    }
  }
  return cuts;
}

interface Sorted {
  /** The edges that pass through a square. */
  readonly lists: SquareLists;
  /** The squares an edge passes through: column and row of each. */
  readonly squaresOf: readonly (readonly number[])[];
}

/** Sorts edges into the squares they pass through. */
function sorted(edges: readonly Edge[], { x, y }: Nodes): Sorted {
  let total = 0;
  for (const { from, to } of edges) total += Math.hypot(at(x, to) - at(x, from), at(y, to) - at(y, from));
  const side = Math.max(64, (1.5 * total) / Math.max(1, edges.length));
  const lists = new SquareLists();
  const squaresOf = edges.map(({ from, to }, edge) => {
    const squares: number[] = [];
    const [ax, ay, bx, by] = [at(x, from), at(y, from), at(x, to), at(y, to)];
    const [left, right] = [Math.floor((Math.min(ax, bx) - WELD) / side), Math.floor((Math.max(ax, bx) + WELD) / side)];
    for (let column = left; column <= right; column++) {
      const [low, high] = heightsWithin(ax, ay, bx, by, column * side - WELD, (column + 1) * side + WELD);
      for (let row = Math.floor((low - WELD) / side); row <= Math.floor((high + WELD) / side); row++) {
        squares.push(column, row);
        lists.add(column, row, edge);
      }
    }
    return squares;
  });
  return { lists, squaresOf };
}

function compare(
  a: number,
  b: number,
  edges: readonly Edge[],
  nodes: Nodes,
  cut: (edge: number, node: number) => void,
): void {
  const [p, q] = [edges[a], edges[b]];
  if (!p || !q) return;
  let touches = false;
  for (const node of [q.from, q.to]) {
    if (liesOn(node, p, nodes)) {
      cut(a, node);
      touches = true;
    }
  }
  for (const node of [p.from, p.to]) {
    if (liesOn(node, q, nodes)) {
      cut(b, node);
      touches = true;
    }
  }
  if (touches || p.from === q.from || p.from === q.to || p.to === q.from || p.to === q.to) return;
  const crossing = crossingOf(p, q, nodes);
  if (crossing === null) return;
  cut(a, crossing);
  cut(b, crossing);
}

/** Whether a node lies between an edge's ends, within the weld's reach of it. */
function liesOn(node: number, { from, to }: Edge, { x, y }: Nodes): boolean {
  if (node === from || node === to) return false;
  const [dx, dy] = [at(x, to) - at(x, from), at(y, to) - at(y, from)];
  const [px, py] = [at(x, node) - at(x, from), at(y, node) - at(y, from)];
  const lengthSquared = dx * dx + dy * dy;
  const along = px * dx + py * dy;
  if (along <= 0 || along >= lengthSquared) return false;
  const across = px * dy - py * dx;
  return across * across <= WELD * WELD * lengthSquared;
}

/** The node where two edges cross between their ends; null where they do not. */
function crossingOf(p: Edge, q: Edge, nodes: Nodes): number | null {
  const { x, y } = nodes;
  const [ax, ay] = [at(x, p.from), at(y, p.from)];
  const [bx, by] = [at(x, p.to) - ax, at(y, p.to) - ay];
  const [cx, cy] = [at(x, q.from) - ax, at(y, q.from) - ay];
  const [dx, dy] = [at(x, q.to) - at(x, q.from), at(y, q.to) - at(y, q.from)];
  const determinant = bx * dy - by * dx;
  if (determinant === 0) return null;
  const t = (cx * dy - cy * dx) / determinant;
  const u = (cx * by - cy * bx) / determinant;
  if (t <= 0 || t >= 1 || u <= 0 || u >= 1) return null;
  return nodes.at(Math.round(ax + bx * t), Math.round(ay + by * t));
}
