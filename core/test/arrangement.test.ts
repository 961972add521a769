import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { arrange } from "../src/geometry/arrangement/arrange";
import { areaWithin } from "../src/geometry/area";
import { clipLines, withoutDoubled } from "../src/geometry/arrangement/lines";
import { areaOfPath, segmentsOf, transformPath, type Path } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { partDesign } from "./testDesign";
import { outlinesOf, partOf } from "./scenes";
import { members } from "./randomMembers";

const copies = (motif: object, rules: readonly object[] = []) => outlinesOf(partOf(partDesign(motif, rules)));
const square = (x: number, y: number, side: number) =>
  copies({ kind: "rectangle", width: side, height: side, at: { x, y } })[0] ?? [];
const disc = (x: number, y: number, radius: number) => copies({ kind: "disc", radius, at: { x, y } })[0] ?? [];
const total = (areas: readonly number[]) => areas.reduce((sum, area) => sum + area, 0);
const trueArea = ({ outline }: { outline: Path }) => Math.abs(areaOfPath(outline));

describe("faces of an arrangement", () => {
  test("two squares that overlap: three faces, their areas and what covers them", () => {
    const { faces } = arrange([square(0, 0, 20), square(10, 10, 20)]);
    expect(faces.map(({ covering }) => covering.join()).sort()).toEqual(["0", "0,1", "1"]);
    expect(faces.map(trueArea).sort((a, b) => a - b)).toEqual([100, 300, 300].map((area) => expect.closeTo(area, 3)));
  });

  test("12 discs of radius 20 on a ring of 25: Euler's formula, areas that add up to the union's", () => {
    const outlines = copies({ kind: "disc", radius: 20 }, [{ kind: "ring", count: 12, radius: 25 }]);
    const { faces, nodes, edges, bounded, components } = arrange(outlines);
    expect(nodes - edges + bounded + 1).toBe(1 + components);
    expect(components).toBe(1);
    expect(bounded).toBe(faces.length);
    // Each disc crosses six others twice: 72 nodes of four edges, so 144 − 72 + 1 faces.
    expect(faces).toHaveLength(73);
    // A point at distance r from the centre is covered where it is within 20 of a point of the ring.
    const depth = total(faces.map((face) => face.covering.length * trueArea(face)));
    expect(depth).toBeCloseTo(12 * 400 * Math.PI, 0);
    for (const face of faces) expect(face.area).toBeCloseTo(trueArea(face), 9);
  });

  test("curves stay curves: a lens has two segments of arcs, not a polygon", () => {
    const { faces } = arrange([disc(0, 0, 10), disc(12, 0, 10)]);
    const lens = faces.find(({ covering }) => covering.length === 2);
    const exact = 2 * 100 * Math.acos(0.6) - 12 * Math.sqrt(100 - 36);
    expect(lens ? trueArea(lens) : NaN).toBeCloseTo(exact, 2);
    expect(lens?.outline.flatMap(segmentsOf).length).toBeLessThan(10);
  });

  test("a hole belongs to the face around it, and rings within rings alternate", () => {
    const { faces, components } = arrange([disc(0, 0, 30), disc(0, 0, 20), disc(0, 0, 10)]);
    expect(components).toBe(3);
    expect(faces.map(({ covering }) => covering.length).sort()).toEqual([1, 2, 3]);
    const ring = faces.find(({ covering }) => covering.length === 1);
    expect(ring ? trueArea(ring) : NaN).toBeCloseTo(500 * Math.PI, 1);
    expect(ring?.outline).toHaveLength(2);
  });

  test("lines that do not close bound faces where they cross others; loose ends are left out", () => {
    const line = copies({ kind: "line", length: 60, angle: 90, at: { x: -30 } })[0] ?? [];
    const { faces } = arrange([disc(0, 0, 20), line]);
    expect(faces).toHaveLength(2);
    for (const face of faces) {
      expect(trueArea(face)).toBeCloseTo(200 * Math.PI, 2);
      expect(face.covering).toEqual([0]);
    }
  });

  test("touching tiles leave no pinholes: a wall of rectangles, turned askew", () => {
    for (const turn of [0, 7, 33.3]) {
      const wall = copies({ kind: "rectangle", width: 12, height: 7 }, [
        { kind: "grid", lattice: "brick", columns: 5, rows: 4, pitch: { x: 12, y: 7 } },
        { kind: "turn", count: 1, start: turn },
      ]);
      const { faces } = arrange(wall);
      expect(faces).toHaveLength(20);
      expect(total(faces.map(trueArea))).toBeCloseTo(20 * 84, 2);
    }
  });

  test("whatever discs there are, depths add up to the discs' areas", () => {
    const place = fc.record({
      x: fc.integer({ min: -30, max: 30 }),
      y: fc.integer({ min: -30, max: 30 }),
      radius: fc.integer({ min: 3, max: 25 }),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(place, { minLength: 1, maxLength: 7, selector: ({ x, y, radius }) => `${x} ${y} ${radius}` }),
        (places) => {
          const { faces, nodes, edges, bounded, components } = arrange(
            places.map(({ x, y, radius }) => disc(x, y, radius)),
          );
          const covered = total(faces.map((face) => face.covering.length * trueArea(face)));
          const exact = total(places.map(({ radius }) => Math.PI * radius * radius));
          return nodes - edges + bounded + 1 === 1 + components && Math.abs(covered - exact) < 0.001 * exact;
        },
      ),
      { numRuns: members(60) },
    );
  });
});

describe("doubled lines", () => {
  const lengthOf = (paths: readonly Path[]) => total(paths.flat().map((run) => measurePath(run).length));

  test("a grid of squares: every shared side once", () => {
    const squares = copies({ kind: "rectangle", width: 10, height: 10 }, [
      { kind: "grid", columns: 4, rows: 3, pitch: 10 },
    ]);
    // 4 × 3 squares have 4·4 + 5·3 sides of 10.
    expect(lengthOf(withoutDoubled(squares))).toBeCloseTo(310, 6);
  });

  test("sides that lie on each other in part are cut there; curves on curves too", () => {
    const [a, b] = [square(0, 0, 20), transformPath(square(0, 0, 20), [1, 0, 0, 1, 20, 5])];
    expect(lengthOf(withoutDoubled([a, b]))).toBeCloseTo(160 - 15, 6);
    const ring = disc(0, 0, 20);
    const half = copies({ kind: "sector", outer: 20, from: 0, to: 180 })[0] ?? [];
    expect(lengthOf(withoutDoubled([ring, half]))).toBeCloseTo(2 * Math.PI * 20 + 40, 2);
  });

  test("outlines that only cross stay whole", () => {
    const pair = [square(0, 0, 20), square(7, 5, 20)];
    expect(withoutDoubled(pair)).toEqual(pair);
  });
});

describe("lines cut by an area", () => {
  const lengthOf = (path: Path) => total(path.map((run) => measurePath(run).length));

  test("inside and outside share the line out; curves are cut on the curve", () => {
    const line = copies({ kind: "line", length: 100, angle: 90, at: { x: -50 } })[0] ?? [];
    expect(lengthOf(clipLines(line, areaWithin(disc(0, 0, 20)), "inside"))).toBeCloseTo(40, 3);
    expect(lengthOf(clipLines(line, areaWithin(disc(0, 0, 20)), "outside"))).toBeCloseTo(60, 3);
    expect(clipLines(line, areaWithin(disc(0, 0, 20)), "outside")).toHaveLength(2);
    const arc = copies({ kind: "arc", radius: 30, from: -90, to: 90 })[0] ?? [];
    const upper = copies({ kind: "rectangle", width: 100, height: 15, at: { y: 0 } })[0] ?? [];
    // The arc's lower ends, up to 15 above the centre: twice asin(15/30) = 30° of radius 30.
    expect(lengthOf(clipLines(arc, areaWithin(upper), "inside"))).toBeCloseTo((2 * Math.PI * 30 * 60) / 360, 2);
  });
});
