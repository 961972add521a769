import { describe, expect, test } from "@jest/globals";
import {
  apply,
  buildScene,
  FRIEZE_GROUPS,
  FRIEZE_SYMBOLS,
  matrixAt,
  multiply,
  PLANE_GROUP_SYMBOLS,
  PLANE_GROUPS,
  readDesign,
  translation,
  type CellShape,
  type Matrix,
} from "../src";
import { inSheet } from "../src/rules/gridLayout";
import { cellForGroup, inCell } from "../src/rules/lattice";
import { partDesign } from "./testDesign";

function copiesOf(rule: object): Matrix[] {
  const [part] = buildScene(partDesign({ kind: "petal", length: 3, width: 1 }, [rule])).parts;
  if (!part) throw new Error("no part");
  const { count, matrices } = part.geometry.placements;
  return Array.from({ length: count }, (_, copy) => matrixAt(matrices, copy));
}

const feet = (rule: object) => copiesOf(rule).map(([, , , , x, y]) => ({ x, y }));

describe("spirals", () => {
  test("even by length: neighbours' arc lengths equal within 1e-6 of their mean, r at the end 29", () => {
    const places = feet({ kind: "spiral", form: "even", count: 40, inner: 5, pitch: 6, turns: 4, by: "length" });
    const radii = places.map(({ x, y }) => Math.hypot(x, y));
    expect(radii[0]).toBeCloseTo(5, 9);
    expect(radii.at(-1)).toBeCloseTo(29, 9);
    // The length of an Archimedean spiral r = a + bθ, in closed form by r.
    const b = 6 / (2 * Math.PI);
    const lengthTo = (r: number) => (r * Math.sqrt(r * r + b * b) + b * b * Math.asinh(r / b)) / (2 * b);
    const lengths = radii.slice(1).map((r, k) => lengthTo(r) - lengthTo(radii[k] ?? 0));
    const mean = lengths.reduce((sum, length) => sum + length, 0) / lengths.length;
    for (const length of lengths) expect(Math.abs(length - mean)).toBeLessThan(1e-6 * mean);
  });

  test("growing: the radius doubles each turn, b = ln 2/(2π) a radian", () => {
    const places = feet({ kind: "spiral", form: "growing", count: 5, inner: 3, growth: 2, turns: 4, by: "angle" });
    places.forEach(({ x, y }, turn) => {
      expect(Math.hypot(x, y)).toBeCloseTo(3 * 2 ** turn, 9);
      expect(x).toBeCloseTo(0, 9);
    });
    const fine = feet({ kind: "spiral", form: "growing", count: 101, inner: 3, growth: 2, turns: 1, by: "angle" });
    const [first, second] = fine.map(({ x, y }) => Math.log(Math.hypot(x, y)));
    expect(((second ?? 0) - (first ?? 0)) / ((2 * Math.PI) / 100)).toBeCloseTo(Math.LN2 / (2 * Math.PI), 9);
  });

  test("sunflower c = 4, i = 0…499: last radius 89.3532, the smallest distance of two feet 4, between the first two", () => {
    const places = feet({ kind: "spiral", form: "sunflower", count: 500, spread: 4 });
    const last = places.at(-1) ?? { x: 0, y: 0 };
    expect(Math.hypot(last.x, last.y)).toBeCloseTo(89.3532, 4);
    let least = Infinity;
    let pair = [0, 0];
    places.forEach((p, i) =>
      places.slice(0, i).forEach((q, j) => {
        const far = Math.hypot(p.x - q.x, p.y - q.y);
        if (far < least) [least, pair] = [far, [j, i]];
      }),
    );
    expect(least).toBeCloseTo(4, 9);
    expect(pair).toEqual([0, 1]);
    const { x, y } = places[1] ?? { x: 0, y: 0 };
    expect((Math.atan2(x, -y) * 180) / Math.PI).toBeCloseTo(137.50776405, 6);
  });

  test("copies grow from first to last, or in proportion to their radius", () => {
    const sizes = (size: unknown) =>
      copiesOf({ kind: "spiral", count: 3, inner: 10, pitch: 5, turns: 2, by: "angle", size }).map(([a, b]) =>
        Math.hypot(a, b),
      );
    expect(sizes({ from: 0.5, to: 1.5 }).map((size) => Number(size.toFixed(9)))).toEqual([0.5, 1, 1.5]);
    expect(sizes("radius").map((size) => Number(size.toFixed(9)))).toEqual([0.5, 0.75, 1]);
  });

  test("a spiral through its own centre, and one that never leaves it, are refused", () => {
    const read = (rule: object) =>
      readDesign({
        format: "twin-petal/1",
        parts: [{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "spiral", ...rule }] }],
      }).problems;
    expect(read({ inner: 2, pitch: -4 })[0]?.path).toBe("parts[0].rules[0].pitch");
    expect(read({ form: "growing", inner: 0 })[0]?.path).toBe("parts[0].rules[0].inner");
    expect(read({ size: "large" })[0]?.path).toBe("parts[0].rules[0].size");
  });
});

describe("grids", () => {
  test("hex 12 × 10, pitch 20: rows 17.320508 apart, odd rows shifted by 10", () => {
    const places = feet({ kind: "grid", lattice: "hex", columns: 12, rows: 10, pitch: 20 });
    expect(places).toHaveLength(120);
    const row = (k: number) => places[12 * k] ?? { x: NaN, y: NaN };
    expect(row(1).y - row(0).y).toBeCloseTo(17.320508, 6);
    expect(row(1).x - row(0).x).toBeCloseTo(10, 9);
    expect(row(2).x - row(0).x).toBeCloseTo(0, 9);
    expect((places[1]?.x ?? 0) - row(0).x).toBeCloseTo(20, 9);
  });

  test("is centred, row after row; free lattices follow their two sides; every other one flips or turns", () => {
    const square = feet({ kind: "grid", columns: 3, rows: 2, pitch: 10 });
    expect(square.slice(0, 3).map(({ x }) => x)).toEqual([-10, 0, 10]);
    expect(square.map(({ y }) => y)).toEqual([-5, -5, -5, 5, 5, 5]);
    const free = feet({
      kind: "grid",
      lattice: "free",
      columns: 2,
      rows: 2,
      vectors: { a: { x: 8, y: 2 }, b: { x: -3, y: 9 } },
    });
    const [p, q, r] = free;
    expect([(q?.x ?? 0) - (p?.x ?? 0), (q?.y ?? 0) - (p?.y ?? 0)]).toEqual([8, 2]);
    expect([(r?.x ?? 0) - (p?.x ?? 0), (r?.y ?? 0) - (p?.y ?? 0)]).toEqual([-3, 9]);
    const turned = copiesOf({ kind: "grid", columns: 2, rows: 1, alternate: { columns: "turn" } });
    expect(turned.map(([a]) => a)).toEqual([1, -1]);
    const flipped = copiesOf({ kind: "grid", columns: 1, rows: 2, alternate: { rows: "flip" } });
    expect(flipped.map(([, , , d]) => d)).toEqual([1, -1]);
  });

  test("colours take turns by row and by column", () => {
    const design = (by: string) =>
      partDesign({ kind: "disc" }, [{ kind: "grid", columns: 3, rows: 2 }], {
        finish: { fill: { kind: "cycle", colors: ["#000000", "#FFFFFF"], by } },
      });
    for (const by of ["row", "column"]) {
      const { design: read, problems } = readDesign(JSON.parse(JSON.stringify(design(by))));
      expect(problems).toEqual([]);
      expect(read).not.toBeNull();
    }
  });
});

const key = (matrix: Matrix) =>
  matrix.map((entry) => (Math.abs(entry) < 1e-7 ? 0 : Number(entry.toFixed(6)))).join(" ");

const ORBITS: Readonly<Record<string, number>> = {
  p1: 1,
  p2: 2,
  pm: 2,
  pg: 2,
  cm: 4,
  p2mm: 4,
  p2mg: 4,
  p2gg: 4,
  c2mm: 8,
  p4: 4,
  p4mm: 8,
  p4gm: 8,
  p3: 3,
  p3m1: 6,
  p31m: 6,
  p6: 6,
  p6mm: 12,
};

describe("plane groups", () => {
  test.each(PLANE_GROUP_SYMBOLS)("%s: the orbit in one cell has its count, all different", (symbol) => {
    const images = copiesOf({ kind: "grid", columns: 1, rows: 1, pitch: { x: 20, y: 26 }, group: symbol });
    expect(images).toHaveLength(ORBITS[symbol] ?? NaN);
    expect(new Set(images.map(key)).size).toBe(images.length);
  });

  test.each(PLANE_GROUP_SYMBOLS)("%s: every generator carries the copies onto themselves", (symbol) => {
    const { shape, operations }: { shape: CellShape; operations: (typeof PLANE_GROUPS)[typeof symbol]["operations"] } =
      PLANE_GROUPS[symbol];
    const cell = cellForGroup(shape, { x: 20, y: 26 }, null);
    const images = operations.map((operation) => inSheet(operation, cell));
    const cells = [-3, -2, -1, 0, 1, 2, 3];
    const all = new Set(
      cells.flatMap((u) =>
        cells.flatMap((v) => {
          const { x, y } = inCell(cell, u, v);
          return images.map((image) => key(multiply(translation(x, y), image)));
        }),
      ),
    );
    for (const generator of images) {
      for (const image of images) expect(all.has(key(multiply(generator, image)))).toBe(true);
    }
    // Lengths are kept: every image is a turn, a mirroring or a glide.
    for (const [a, b, c, d] of images) {
      expect(Math.hypot(a, b)).toBeCloseTo(1, 9);
      expect(a * c + b * d).toBeCloseTo(0, 9);
    }
  });
});

describe("frieze groups", () => {
  test.each(FRIEZE_SYMBOLS)("%s: every operation carries the border onto itself, and its line stays", (symbol) => {
    const pitch = 24;
    const copies = copiesOf({ kind: "border", group: symbol, count: 9, pitch });
    expect(copies).toHaveLength(9 * FRIEZE_GROUPS[symbol].length);
    const all = new Set(copies.map(key));
    const middle = copies.filter(([, , , , e]) => Math.abs(e) < pitch);
    const own = copies.slice(4 * FRIEZE_GROUPS[symbol].length, 5 * FRIEZE_GROUPS[symbol].length);
    for (const generator of own) {
      for (const copy of middle) expect(all.has(key(multiply(generator, copy)))).toBe(true);
      expect(apply(generator, { x: 7, y: 0 }).y).toBeCloseTo(0, 12);
    }
  });

  test("spread over a length, as many repeats as fit best, evenly", () => {
    const places = feet({ kind: "border", length: 100, pitch: 24 });
    expect(places).toHaveLength(4);
    expect((places[1]?.x ?? 0) - (places[0]?.x ?? 0)).toBeCloseTo(25, 9);
  });
});
