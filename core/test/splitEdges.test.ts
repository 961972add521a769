import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { Nodes, WELD } from "../src/geometry/boolean/nodes";
import { splitEdges, type Edge } from "../src/geometry/arrangement/splitEdges";
import { members } from "./randomMembers";

const place = fc.record({ x: fc.integer({ min: 0, max: 4_000 }), y: fc.integer({ min: 0, max: 4_000 }) });
const segments = fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 24 });

type Place = { readonly x: number; readonly y: number };

function edgesOf(pairs: readonly (readonly [Place, Place])[]): { edges: Edge[]; nodes: Nodes } {
  const nodes = new Nodes();
  const edges = pairs.map(([from, to], source) => ({
    from: nodes.at(from.x, from.y),
    to: nodes.at(to.x, to.y),
    source,
  }));
  return { edges, nodes };
}

function at({ x, y }: Nodes, node: number): Place {
  return { x: x[node] ?? NaN, y: y[node] ?? NaN };
}

/** Whether two edges cross between their ends, told by which sides each other's ends are on. */
function cross(a: Place, b: Place, c: Place, d: Place): boolean {
  const side = (p: Place, q: Place, r: Place) => Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

describe("edges split where they meet", () => {
  test("two that cross become four around one node", () => {
    const { edges, nodes } = edgesOf([
      [
        { x: 0, y: 0 },
        { x: 100, y: 100 },
      ],
      [
        { x: 0, y: 100 },
        { x: 100, y: 0 },
      ],
    ]);
    const split = splitEdges(edges, nodes);
    expect(split.map(({ source }) => source)).toEqual([0, 0, 1, 1]);
    const middle = split[0]?.to ?? -1;
    expect(at(nodes, middle)).toEqual({ x: 50, y: 50 });
    expect(split.map(({ from, to }) => [from, to].includes(middle))).toEqual([true, true, true, true]);
  });

  test("one that ends on another splits it; one that lies along another shares its nodes", () => {
    const { edges, nodes } = edgesOf([
      [
        { x: 0, y: 0 },
        { x: 100, y: 0 },
      ],
      [
        { x: 40, y: 0 },
        { x: 40, y: 60 },
      ],
      [
        { x: 20, y: 0 },
        { x: 70, y: 0 },
      ],
    ]);
    const split = splitEdges(edges, nodes);
    const along = (source: number) =>
      split.filter((edge) => edge.source === source).map(({ from, to }) => [at(nodes, from).x, at(nodes, to).x]);
    expect(along(0)).toEqual([
      [0, 20],
      [20, 40],
      [40, 70],
      [70, 100],
    ]);
    expect(along(1)).toEqual([[40, 40]]);
    expect(along(2)).toEqual([
      [20, 40],
      [40, 70],
    ]);
  });

  test("none cross afterwards, every piece follows the one before, and none strays by more than the grid", () => {
    fc.assert(
      fc.property(segments, (pairs) => {
        const { edges, nodes } = edgesOf(pairs);
        const split = splitEdges(edges, nodes);
        split.forEach((p, index) => {
          for (const q of split.slice(index + 1)) {
            if ([p.from, p.to].some((node) => node === q.from || node === q.to)) continue;
            const ends = [p.from, p.to, q.from, q.to].map((node) => at(nodes, node));
            const [a, b, c, d] = ends;
            if (a && b && c && d) expect(cross(a, b, c, d)).toBe(false);
          }
        });
        edges.forEach(({ from, to }, source) => {
          if (from === to) return;
          const pieces = split.filter((edge) => edge.source === source);
          expect(pieces[0]?.from).toBe(from);
          expect(pieces.at(-1)?.to).toBe(to);
          pieces.slice(1).forEach((piece, k) => expect(piece.from).toBe(pieces[k]?.to));
          const [start, end] = [at(nodes, from), at(nodes, to)];
          const length = Math.hypot(end.x - start.x, end.y - start.y);
          for (const piece of pieces) {
            const stop = at(nodes, piece.to);
            const off =
              Math.abs((end.x - start.x) * (stop.y - start.y) - (end.y - start.y) * (stop.x - start.x)) / length;
            expect(off).toBeLessThan(4 * WELD);
          }
        });
      }),
      { numRuns: members(60) },
    );
  });
});

describe("places on the grid", () => {
  test("within the weld's reach of one there is no other; the first number given stays", () => {
    const nodes = new Nodes();
    const first = nodes.at(1_000, 1_000, 7);
    for (const [dx, dy] of [
      [0, 0],
      [WELD, 0],
      [-WELD, WELD],
      [1, -WELD],
    ] as const)
      expect(nodes.at(1_000 + dx, 1_000 + dy, 9)).toBe(first);
    expect(nodes.vertex[first]).toBe(7);
    expect(nodes.at(1_000 + WELD + 1, 1_000)).not.toBe(first);
    expect(nodes.at(-1_000, -1_000)).toBe(2);
    expect(nodes.at(-1_000 - WELD, -1_000 + 1)).toBe(2);
  });

  test("a crossing's node takes the number of a vertex that turns out to be there", () => {
    const nodes = new Nodes();
    const crossing = nodes.at(5, 5);
    expect(nodes.vertex[crossing]).toBe(0);
    nodes.at(6, 5, 12);
    expect(nodes.vertex[crossing]).toBe(12);
  });
});
