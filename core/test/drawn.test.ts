import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  addBetween,
  addNode,
  boxOfPath,
  buildScene,
  chosenSegments,
  countNodes,
  cutOpen,
  drawnOfPath,
  distance,
  everyNth,
  everyNthOf,
  grownChoice,
  meetNodes,
  pushAlongNormals,
  pushFrom,
  isStraight,
  joinRuns,
  mendSeams,
  moveHandle,
  moveNodes,
  moveSegment,
  nodeAt,
  nodesInside,
  nodeSymmetries,
  orbitOf,
  pathOfDrawn,
  pointAt,
  readDesign,
  removeNodes,
  seamMisses,
  segmentsOf,
  segmentsOfRun,
  setNodeType,
  spreadOverOrbit,
  toDrawnValues,
  type DrawnNode,
  type DrawnPath,
} from "../src";
import { areaOfPath } from "../src/geometry/path";
import { partDesign } from "./testDesign";

const corner = (x: number, y: number): DrawnNode => ({ x, y, in: null, out: null, type: "corner" });
const polygon = (sides: number, radius: number): DrawnPath => ({
  closed: true,
  nodes: Array.from({ length: sides }, (_, k) =>
    corner(radius * Math.sin((2 * Math.PI * k) / sides), -radius * Math.cos((2 * Math.PI * k) / sides)),
  ),
});

const coordinate = fc.double({ min: -50, max: 50, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate });
const node = fc.record({ x: coordinate, y: coordinate, in: point, out: point, type: fc.constant("corner" as const) });
const run = fc.record({ closed: fc.boolean(), nodes: fc.array(node, { minLength: 2, maxLength: 6 }) });

/** Points of a run at even parameters of its segments. */
function samples(path: DrawnPath, each: number) {
  return segmentsOfRun(path).flatMap((segment) => Array.from({ length: each }, (_, k) => pointAt(segment, k / each)));
}

describe("nodes are added", () => {
  test("anywhere on a curve without moving any point of it by 1e-9", () => {
    fc.assert(
      fc.property(run, fc.nat(5), fc.double({ min: 0.01, max: 0.99, noNaN: true }), (path, which, t) => {
        const segments = segmentsOfRun(path);
        const segment = which % segments.length;
        const [after] = addNode([path], { run: 0, segment }, t);
        const whole = segments[segment];
        const pieces = after ? segmentsOfRun(after).slice(segment, segment + 2) : [];
        const [first, second] = pieces;
        if (!whole || !first || !second) return false;
        // A straight segment is travelled at another pace in two pieces; it is the same line.
        if (isStraight(whole)) {
          const [from, at, to] = [whole[0], first[3], whole[3]];
          const detour = distance(from, at) + distance(at, to) - distance(from, to);
          return isStraight(first) && isStraight(second) && detour < 1e-9;
        }
        return [0, 0.1, 0.35, 0.5, 0.8, 1].every((u) => {
          const [a, b] = [pointAt(first, u), pointAt(second, u)];
          const [c, d] = [pointAt(whole, u * t), pointAt(whole, t + u * (1 - t))];
          return Math.hypot(a.x - c.x, a.y - c.y) < 1e-9 && Math.hypot(b.x - d.x, b.y - d.y) < 1e-9;
        });
      }),
    );
  });

  test("one in the middle of each chosen segment, and only those", () => {
    const paths = [polygon(6, 20)];
    const segments = chosenSegments(paths, new Set([0, 1, 2, 5]));
    expect(segments.map(({ segment }) => segment)).toEqual([0, 1, 5]);
    const { paths: next, added } = addBetween(paths, segments);
    expect(countNodes(next)).toBe(9);
    expect(added).toEqual([1, 3, 8]);
    for (const number of added)
      expect(Math.hypot(nodeAt(next, number)?.x ?? 0, nodeAt(next, number)?.y ?? 0)).toBeCloseTo(
        20 * Math.cos(Math.PI / 6),
        9,
      );
    expect(areaOfPath(pathOfDrawn(next))).toBeCloseTo(areaOfPath(pathOfDrawn(paths)), 9);
  });
});

describe("nodes are removed, runs joined and cut", () => {
  test("cut open at a node, then joined there again, the outline is what it was", () => {
    fc.assert(
      fc.property(run, fc.nat(5), (path, which) => {
        const closed = { ...path, closed: true };
        const number = which % closed.nodes.length;
        const opened = cutOpen([closed], number);
        const back = opened[0] && joinRuns(opened, 0, opened[0].nodes.length - 1);
        const [first] = back ?? [];
        if (!first || opened[0]?.closed) return false;
        const shifted = [...closed.nodes.slice(number), ...closed.nodes.slice(0, number)];
        const same = samples(first, 3).every(({ x, y }, k) => {
          const other = samples({ closed: true, nodes: shifted }, 3)[k];
          return other && Math.hypot(x - other.x, y - other.y) < 1e-9;
        });
        return closed.nodes.length < 2 || same;
      }),
    );
  });

  test("an open run is parted at a node; two runs become one at their ends, turned round where needed", () => {
    const line: DrawnPath = { closed: false, nodes: [corner(0, 0), corner(10, 0), corner(20, 0)] };
    const parted = cutOpen([line], 1);
    expect(parted.map(({ nodes }) => nodes.length)).toEqual([2, 2]);
    const joined = joinRuns(parted, 1, 2);
    expect(joined?.map(({ nodes }) => nodes.map(({ x }) => x))).toEqual([[0, 10, 20]]);
    const others: DrawnPath = { closed: false, nodes: [corner(40, 5), corner(30, 5)] };
    // The ends at 0 and at 40 meet, so the first run is turned round and goes on into the second.
    expect(joinRuns([line, others], 0, 3)?.[0]?.nodes.map(({ x }) => x)).toEqual([20, 10, 0, 40, 30]);
    expect(joinRuns([line], 1, 2)).toBeNull();
  });

  test("removing all but one node of a closed run opens it; removing all removes it", () => {
    const paths = [polygon(4, 10), polygon(3, 5)];
    const left = removeNodes(paths, new Set([0, 1, 2, 4, 5, 6]));
    expect(left).toEqual([{ closed: false, nodes: [paths[0]?.nodes[3]] }]);
  });
});

describe("types, handles and segments", () => {
  test("a smooth node's other handle keeps its length and turns into line, a symmetric one's is the mirror image", () => {
    const base: DrawnNode = { x: 0, y: 0, in: { x: -4, y: 0 }, out: { x: 2, y: 0 }, type: "smooth" };
    const [smooth] = moveHandle([{ closed: false, nodes: [base] }], 0, "out", { x: 0, y: 6 });
    expect(smooth?.nodes[0]?.in?.x).toBeCloseTo(0, 12);
    expect(smooth?.nodes[0]?.in?.y).toBeCloseTo(-4, 12);
    const [symmetric] = moveHandle([{ closed: false, nodes: [{ ...base, type: "symmetric" }] }], 0, "in", {
      x: 3,
      y: 3,
    });
    expect(symmetric?.nodes[0]?.out).toEqual({ x: -3, y: -3 });
    const [free] = moveHandle([{ closed: false, nodes: [{ ...base, type: "corner" }] }], 0, "in", { x: 3, y: 3 });
    expect(free?.nodes[0]?.out).toEqual({ x: 2, y: 0 });
  });

  test("making corners smooth draws handles out in one line, pointing the way the outline goes", () => {
    const [square] = setNodeType([polygon(4, 10)], new Set([0, 1, 2, 3]), "symmetric");
    for (const { in: into, out } of square?.nodes ?? []) {
      expect(into?.x).toBeCloseTo(-(out?.x ?? 0), 12);
      expect(into?.y).toBeCloseTo(-(out?.y ?? 0), 12);
      expect(Math.hypot(out?.x ?? 0, out?.y ?? 0)).toBeCloseTo((10 * Math.SQRT2) / 3, 9);
    }
    expect(square?.nodes[0]?.out?.x).toBeGreaterThan(0);
  });

  test("a curve pulled by its middle moves its middle by just that; a straight one takes its ends along", () => {
    fc.assert(
      fc.property(node, node, point, (a, b, by) => {
        const before = [{ closed: false, nodes: [a, b] }];
        const [after] = moveSegment(before, { run: 0, segment: 0 }, by);
        const [from, to] = [
          segmentsOfRun(before[0] ?? { closed: false, nodes: [] })[0],
          after && segmentsOfRun(after)[0],
        ];
        if (!from || !to) return false;
        const [p, q] = [pointAt(from, 0.5), pointAt(to, 0.5)];
        return Math.hypot(q.x - p.x - by.x, q.y - p.y - by.y) < 1e-9;
      }),
    );
    const [line] = moveSegment(
      [{ closed: false, nodes: [corner(0, 0), corner(10, 0)] }],
      { run: 0, segment: 0 },
      { x: 1, y: 2 },
    );
    expect(line?.nodes.map(({ x, y }) => [x, y])).toEqual([
      [1, 2],
      [11, 2],
    ]);
  });
});

describe("choosing", () => {
  test("every second, every third from the one chosen, round a closed run", () => {
    expect(everyNthOf([polygon(3, 5), polygon(8, 10)], new Set([1, 4, 5, 6, 7, 9]), 2)).toEqual([1, 4, 6, 9]);
    expect(grownChoice([polygon(6, 10), { ...polygon(4, 3), closed: false }], new Set([0, 9]))).toEqual([
      0, 1, 5, 8, 9,
    ]);
    expect(everyNth([polygon(8, 10)], 3, 2)).toEqual([3, 5, 7, 1]);
    expect(everyNth([polygon(9, 10)], 1, 3)).toEqual([1, 4, 7]);
    expect(everyNth([polygon(3, 5), polygon(6, 10)], 4, 2)).toEqual([4, 6, 8]);
  });

  test("a drawn loop takes the nodes inside it", () => {
    const loop = [
      { x: -15, y: -15 },
      { x: 15, y: -15 },
      { x: 0, y: 3 },
    ];
    expect(nodesInside([polygon(4, 10)], loop)).toEqual([0]);
  });
});

describe("matching nodes", () => {
  test("a regular figure has twice as many symmetries as sides, the standing still not counted", () => {
    expect(nodeSymmetries([polygon(5, 10)])).toHaveLength(9);
    expect(orbitOf(new Set([0]), nodeSymmetries([polygon(5, 10)])).size).toBe(5);
    const lopsided = moveNodes([polygon(5, 10)], new Set([1]), { x: 1, y: 0 });
    expect(nodeSymmetries(lopsided)).toHaveLength(0);
  });

  test("what is done to one corner is done to all: the figure keeps its symmetry, handles too", () => {
    const smooth = setNodeType([polygon(6, 20)], new Set([0, 1, 2, 3, 4, 5]), "symmetric");
    const symmetries = nodeSymmetries(smooth);
    const pulled = moveNodes(smooth, new Set([2]), { x: 3, y: 1 });
    const spread = spreadOverOrbit(
      smooth,
      pulled,
      new Set([2]),
      symmetries.filter(({ mirrors }) => !mirrors),
    );
    expect(nodeSymmetries(spread)).toHaveLength(5);
    const radii = spread[0]?.nodes.map(({ x, y }) => Math.hypot(x, y)) ?? [];
    expect(Math.max(...radii) - Math.min(...radii)).toBeLessThan(1e-9);
    const out = spread[0]?.nodes.map(({ out: handle }) => Math.hypot(handle?.x ?? 0, handle?.y ?? 0)) ?? [];
    expect(Math.max(...out) - Math.min(...out)).toBeLessThan(1e-9);
  });
});

describe("the seam", () => {
  const mirror = { through: { x: 0, y: 0 }, angle: 0, words: "the mirror line" };

  test("ends that miss the mirror line or each other by little are told and mended; those that meet or are far are not", () => {
    const half: DrawnPath = { closed: false, nodes: [corner(0.2, 0), corner(12, -10), corner(0, -30)] };
    const misses = seamMisses([half], [mirror], 1);
    expect(misses).toHaveLength(1);
    expect(misses[0]?.node).toBe(0);
    expect(misses[0]?.by).toBeCloseTo(0.2, 12);
    const mended = mendSeams([half], misses);
    expect(mended[0]?.nodes[0]?.x).toBeCloseTo(0, 12);
    expect(seamMisses(mended, [mirror], 1)).toEqual([]);
    expect(seamMisses([half], [mirror], 0.1)).toEqual([]);
    const gap: DrawnPath[] = [
      { closed: false, nodes: [corner(5, 5), corner(10, 5)] },
      { closed: false, nodes: [corner(10.3, 5), corner(20, 5)] },
    ];
    expect(seamMisses(gap, [], 1).map(({ node, missed }) => [node, missed])).toEqual([[1, "another end"]]);
  });
});

describe("baking", () => {
  test("a baked shape is its formula's, node types and all, and survives the file", () => {
    for (const motif of [
      { kind: "petal", length: 40, width: 18, tip: 0.3, foot: 0.2 },
      { kind: "ring", outer: 20, inner: 9 },
      { kind: "star", points: 6, corner: 1, bulge: 0.2 },
      { kind: "curve", turns: 2 },
    ]) {
      const [part] = buildScene(partDesign(motif)).parts;
      const outline = part?.geometry.path ?? [];
      const baked = buildScene(partDesign({ kind: "drawn", paths: toDrawnValues(drawnOfPath(outline)) })).parts[0]
        ?.geometry.path;
      expect(baked).toHaveLength(outline.length);
      expect(areaOfPath(baked ?? [])).toBeCloseTo(areaOfPath(outline), 4);
      outline.flatMap(segmentsOf).forEach((segment, k) => {
        const other = baked?.flatMap(segmentsOf)[k];
        for (const t of [0, 0.5, 1]) {
          const [p, q] = [pointAt(segment, t), other && pointAt(other, t)];
          expect(Math.hypot(p.x - (q?.x ?? NaN), p.y - (q?.y ?? NaN))).toBeLessThan(1e-5);
        }
      });
    }
    const types = drawnOfPath(buildScene(partDesign({ kind: "disc" })).parts[0]?.geometry.path ?? [])[0]?.nodes.map(
      ({ type }) => type,
    );
    expect(new Set(types)).toEqual(new Set(["symmetric"]));
  });

  test("the outline begins at the node it is told to", () => {
    const square = toDrawnValues([polygon(4, 10)]);
    const [part] = buildScene(partDesign({ kind: "drawn", paths: square, start: 2 })).parts;
    expect(part?.geometry.path[0]?.coordinates.slice(0, 2).map((value) => Math.round(value))).toEqual([0, 10]);
  });

  test("formulas stand in nodes too, and what is wrong in one is told at its path", () => {
    const motif = (x: string) => ({
      kind: "drawn",
      paths: [
        {
          nodes: [
            { x: 0, y: 0 },
            { x, y: "-rim" },
          ],
        },
      ],
    });
    const design = (x: string) => ({
      format: "twin-petal/1",
      numbers: [{ name: "rim", value: 7 }],
      parts: [{ id: "a", motif: motif(x) }],
    });
    const { design: read } = readDesign(design("rim * 2"));
    if (!read) throw new Error("not read");
    expect(boxOfPath(buildScene(read).parts[0]?.geometry.path ?? [])).toEqual({
      left: 0,
      top: -7,
      right: 14,
      bottom: 0,
    });
    expect(readDesign(design("brim")).problems[0]?.path).toBe("parts[0].motif.paths[0].nodes[1].x");
  });
});

describe("nodes are pushed and brought to meet", () => {
  test("from a point and along normals each moves by as much, straight out", () => {
    const sides = fc.integer({ min: 3, max: 12 });
    const by = fc.double({ min: -4, max: 9, noNaN: true });
    fc.assert(
      fc.property(sides, by, (count, push) => {
        const chosen = new Set([0, 2]);
        for (const pushed of [
          pushFrom([polygon(count, 10)], chosen, { x: 0, y: 0 }, push),
          pushAlongNormals([polygon(count, 10)], chosen, push),
        ]) {
          pushed[0]?.nodes.forEach(({ x, y }, k) => {
            expect(Math.hypot(x, y)).toBeCloseTo(chosen.has(k) ? Math.abs(10 + push) : 10, 9);
          });
        }
      }),
    );
  });

  test("a corner that was cut off comes back, wherever the run begins; ends of lines meet where they cross", () => {
    const cut = [corner(0, 0), corner(30, 0), corner(40, 10), corner(40, 40), corner(0, 40)];
    for (let turn = 0; turn < cut.length; turn++) {
      const nodes = [...cut.slice(turn), ...cut.slice(0, turn)];
      const number = (x: number) => nodes.findIndex((own) => own.x === x && own.y === (x === 30 ? 0 : 10));
      const met = meetNodes([{ closed: true, nodes }], number(30), number(40));
      const places = met?.[0]?.nodes.map(({ x, y }) => [Number(x.toFixed(9)), Number(y.toFixed(9))]);
      expect(places).toHaveLength(4);
      expect(places).toContainEqual([40, 0]);
    }
    const lines = [
      { closed: false, nodes: [corner(0, 0), corner(10, 0)] },
      { closed: false, nodes: [corner(20, 10), corner(20, 30)] },
    ];
    expect(meetNodes(lines, 1, 2)).toEqual([{ closed: false, nodes: [corner(0, 0), corner(20, 0), corner(20, 30)] }]);
    expect(meetNodes(lines, 0, 1)).toBeNull();
  });
});
