import fc from "fast-check";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { areaOfPath, segmentsOf, type Path } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { boxOfGeometry, buildScene, colorAt, isStraight, readDesign, SceneBuilder, type PartScene } from "../src";
import { makeSceneJson } from "../src/make/sceneJson";
import { withGeometryEngine } from "./prepared";
import { designWith, partDesign } from "./testDesign";
import { outlinesOf, partOf } from "./scenes";
import { subjectOf } from "../src/make/subject";
import { pathOfData } from "../src/motif/svg/pathOfData";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const joined = (motif: object, rules: readonly object[], join: object, more: object = {}): PartScene =>
  partOf(partDesign(motif, rules, { join, ...more }));
const areaOf = ({ geometry }: PartScene) =>
  geometry.shapes.reduce((sum, { path }) => sum + Math.abs(areaOfPath(path.filter(({ closed }) => closed))), 0);

describe("merge", () => {
  test("6 half-petals and their mirror images meeting in exact edges: one outline, 12 times the half's area, no sliver", () => {
    const half = {
      kind: "drawn",
      paths: [
        {
          closed: true,
          nodes: [
            { x: 0, y: 0 },
            { x: 0, y: -40 },
            { x: 6, y: -22, in: { x: 0, y: -8 }, out: { x: 0, y: 6 } },
          ],
        },
      ],
    };
    const single = areaOf(partOf(partDesign(half)));
    const part = joined(half, [{ kind: "reflect" }, { kind: "turn", count: 6 }], { mode: "merge" });
    expect(part.geometry.shapes).toHaveLength(1);
    const [{ path } = { path: [] }] = part.geometry.shapes;
    // All six petals meet in one point.
    expect(Math.abs(areaOfPath(path))).toBeCloseTo(12 * single, 2);
    for (const run of path) expect(Math.abs(areaOfPath([run]))).toBeGreaterThan(1);
    expect(part.geometry.copies.placements.count).toBe(12);
  });

  test("a scalloped outline: a ring of discs and their centre become one, arcs stay arcs; lines stay lines", () => {
    const part = joined({ kind: "disc", radius: 12 }, [{ kind: "ring", count: 12, radius: 20 }], { mode: "merge" });
    const [{ path } = { path: [] }] = part.geometry.shapes;
    expect(path.length).toBeLessThanOrEqual(2);
    expect(path.flatMap(segmentsOf).length).toBeLessThan(12 * 14);
    const lines = joined({ kind: "line", length: 10 }, [{ kind: "turn", count: 5 }], { mode: "merge" });
    expect(lines.geometry.shapes[0]?.path).toHaveLength(5);
  });
});

describe("even-odd", () => {
  test("40 discs turned and shrunk about a point on their edge: the area of the even-odd rule, sampled", () => {
    const rules = [{ kind: "step", count: 40, turn: 13, scale: 0.93, pivot: { x: 0, y: 30 } }];
    const part = joined({ kind: "disc", radius: 30 }, rules, { mode: "evenOdd" });
    const { copies } = part.geometry;
    // A point is filled where it lies in an odd number of discs: sampled on a fine raster.
    const circles = Array.from({ length: copies.placements.count }, (_, copy) => {
      const [a = 1, b = 0, , , e = 0, f = 0] = copies.placements.matrices.subarray(6 * copy, 6 * copy + 6);
      return { x: e, y: f, r: 30 * Math.hypot(a, b) };
    });
    const step = 0.12;
    let filled = 0;
    const box = boxOfGeometry(part.geometry);
    for (let x = box.left; x < box.right; x += step) {
      for (let y = box.top; y < box.bottom; y += step) {
        const depth = circles.filter((c) => (x - c.x) ** 2 + (y - c.y) ** 2 <= c.r * c.r).length;
        if (depth % 2 === 1) filled += step * step;
      }
    }
    const exact = part.geometry.shapes.reduce((sum, { path }) => sum + Math.abs(areaOfPath(path)), 0);
    expect(Math.abs(exact / filled - 1)).toBeLessThan(0.005);
  });
});

describe("faces", () => {
  const ring = [{ kind: "ring", count: 8, radius: 25 }];
  const disc = { kind: "disc", radius: 20 };
  const colors = ["#111111", "#222222", "#333333", "#444444", "#555555", "#666666", "#777777", "#888888"];

  test("orbits: faces that the rules carry onto each other have one colour", () => {
    const part = joined(disc, ring, { mode: "faces", colors });
    const { colorOf } = part.geometry;
    const orbits = new Map<number, number>();
    for (const color of colorOf?.slice(0, -1) ?? []) orbits.set(color, (orbits.get(color) ?? 0) + 1);
    // Under eight turns every face but one in the very centre has seven others.
    for (const count of orbits.values()) expect([1, 8]).toContain(count);
  });

  test("by depth and alternately: as many colours as copies lie over each other, two that never meet", () => {
    const depth = joined(disc, ring, { mode: "faces", paint: "depth", colors });
    expect(Math.max(...(depth.geometry.colorOf ?? []))).toBeGreaterThan(1);
    const alternate = joined(
      disc,
      ring,
      { mode: "faces", paint: "alternate" },
      {
        finish: { fill: { kind: "cycle", colors: ["#AA0000", "#00AA00"] } },
      },
    );
    expect(new Set(alternate.geometry.colorOf)).toEqual(new Set([0, 1]));
    const { fill } = alternate.finish;
    if (!fill) throw new Error("no fill");
    expect(["#AA0000", "#00AA00"]).toContain(colorAt(fill, alternate.geometry.placements)(0));
  });

  test("what lies between copies is hollow; lines alone bound faces too; the keeper's edge ends them", () => {
    const wide = joined({ kind: "disc", radius: 12 }, [{ kind: "ring", count: 8, radius: 28 }], { mode: "faces" });
    const covered = areaOf(wide);
    expect(covered).toBeLessThan(8 * 144 * Math.PI);
    const currents = designWith({
      parts: [
        { id: "rim", role: "tool", motif: { kind: "disc", radius: 40 } },
        {
          id: "a",
          motif: { kind: "curve", form: "even", inner: 0, pitch: 15, turns: 3 },
          rules: [{ kind: "turn", count: 2 }],
          join: { mode: "faces", inside: "rim", paint: "alternate", colors: ["#AA0000", "#0000AA"] },
        },
      ],
    });
    const part = partOf(currents);
    const sums = [0, 0];
    part.geometry.shapes.slice(0, -1).forEach(({ path }, face) => {
      sums[part.geometry.colorOf?.[face] ?? 0] =
        (sums[part.geometry.colorOf?.[face] ?? 0] ?? 0) + Math.abs(areaOfPath(path));
    });
    // Half a turn carries one group onto the other.
    expect(sums[0]).toBeCloseTo(sums[1] ?? 0, 0);
    expect((sums[0] ?? 0) + (sums[1] ?? 0)).toBeCloseTo(1600 * Math.PI, 0);
  });

  test("faces that no copy covers part no two that are coloured: a ring cut by two lines", () => {
    const design = designWith({
      parts: [
        { id: "rim", role: "tool", motif: { kind: "ring", outer: 40, inner: 8 } },
        {
          id: "a",
          motif: { kind: "line", length: 60 },
          rules: [{ kind: "turn", count: 2 }],
          join: { mode: "faces", inside: "rim", paint: "alternate" },
        },
      ],
    });
    const { colorOf, shapes } = partOf(design).geometry;
    expect(shapes).toHaveLength(3);
    expect(new Set(colorOf?.slice(0, 2))).toEqual(new Set([0, 1]));
  });

  test("changing a face's colour computes no geometry again", () => {
    const builder = new SceneBuilder();
    const [before] = builder.build(partDesign(disc, ring, { join: { mode: "faces", colors } })).parts;
    const [after] = builder.build(partDesign(disc, ring, { join: { mode: "faces", colors: ["#FF0000"] } })).parts;
    expect(after?.geometry).toBe(before?.geometry);
    expect(after?.finish.fill).not.toEqual(before?.finish.fill);
  });
});

describe("other parts joined with the copies", () => {
  const scalloped = (count: number, mode: string, radius = 40) =>
    designWith({
      parts: [
        { id: "disc", role: "tool", motif: { kind: "disc", radius } },
        {
          id: "a",
          motif: { kind: "disc", radius: 8 },
          rules: [{ kind: "ring", count, radius: 40 }],
          join: { mode, with: ["disc"] },
        },
      ],
    });
  const lens = (R: number, r: number, d: number) => {
    const part = (own: number, other: number) =>
      own * own * Math.acos((d * d + own * own - other * other) / (2 * d * own));
    return part(r, R) + part(R, r) - Math.sqrt((-d + r + R) * (d + r - R) * (d - r + R) * (d + r + R)) / 2;
  };

  test.each([6, 12, 15])("%d discs round a disc are one outline of arcs, whose number stays live", (count) => {
    const part = partOf(scalloped(count, "merge"), "a");
    const outside = Math.PI * 64 - lens(40, 8, 40);
    expect(areaOf(part)).toBeCloseTo(Math.PI * 1600 + count * outside, 0);
    expect(part.geometry.shapes[0]?.path).toHaveLength(1);
    expect(part.geometry.shapes[0]?.path.flatMap(segmentsOf).every((segment) => !isStraight(segment))).toBe(true);
    const holes = partOf(scalloped(count, "evenOdd"), "a");
    expect(areaOf(holes)).toBeCloseTo(Math.PI * 1600 + count * (Math.PI * 64 - 2 * lens(40, 8, 40)), 0);
    const { faceOf } = partOf(scalloped(count, "faces"), "a").geometry;
    expect(faceOf?.filter((name) => name !== null)).toHaveLength(2 * count + 1);
  });

  test("it is live, and a circle of parts is refused", () => {
    const builder = new SceneBuilder();
    const areaWith = (radius: number) => {
      const design = scalloped(6, "merge", radius);
      return areaOf(builder.build(design).parts.find(({ id }) => id === "a") ?? partOf(design, "a"));
    };
    const [small, large] = [areaWith(40), areaWith(42)];
    expect(large - small).toBeGreaterThan(300);
    const { parts } = scalloped(6, "merge");
    const [disc, ring] = parts;
    if (!disc || !ring) throw new Error("no parts");
    const circular = { ...scalloped(6, "merge"), parts: [{ ...disc, join: { ...ring.join, with: ["a"] } }, ring] };
    expect(
      buildScene(circular)
        .problems.map(({ path }) => path)
        .join(),
    ).toContain("join.with[0]");
  });
});

describe("cut by and keep inside", () => {
  test("a plate less 24 holes: 3600π − 24·16π", () => {
    const design = designWith({
      parts: [
        {
          id: "holes",
          role: "tool",
          motif: { kind: "disc", radius: 4 },
          rules: [{ kind: "ring", count: 24, radius: 40 }],
        },
        { id: "a", motif: { kind: "disc", radius: 60 }, join: { cutBy: ["holes"] } },
      ],
    });
    const exact = 3600 * Math.PI - 24 * 16 * Math.PI;
    const [{ path } = { path: [] }] = partOf(design).geometry.shapes;
    expect(Math.abs(Math.abs(areaOfPath(path)) / exact - 1)).toBeLessThan(1e-4);
    expect(path).toHaveLength(25);
  });

  test("apart copies are cut one by one and keep their colours; what keeps may be the sheet", () => {
    const tile = { kind: "rectangle", width: 30, height: 30, at: { y: 15 } };
    const part = joined(
      tile,
      [{ kind: "grid", columns: 9, rows: 9, pitch: 30 }],
      { inside: "sheet" },
      {
        finish: { fill: { kind: "cycle", colors: ["#AA0000", "#00AA00"] } },
      },
    );
    expect(part.geometry.placements.count).toBe(81);
    expect(areaOf(part)).toBeCloseTo(200 * 200, 2);
    const { fill } = part.finish;
    expect(fill && colorAt(fill, part.geometry.placements)(1)).toBe("#00AA00");
  });

  test("outlines that are only drawn are cut as lines: what is kept inside and what is cut away make up all of them", () => {
    const lineOf = (join: object, mode: string, motif: object) => {
      const tool = {
        id: "tool",
        role: "tool",
        motif: { kind: "rectangle", width: 30, height: 90, at: { x: 12, y: 45 } },
      };
      const finish = { fill: null, line: { width: 1 } };
      const drawn = {
        id: "a",
        motif,
        rules: [{ kind: "ring", count: 5, radius: 15 }],
        finish,
        join: { mode, ...join },
      };
      return outlinesOf(partOf(designWith({ parts: [drawn, tool] }))).flat();
    };
    const lengthOf = (path: Path) => path.reduce((sum, run) => sum + measurePath(run).length, 0);
    const random = fc.record({
      kind: fc.constantFrom("disc", "polygon", "star", "petal"),
      at: fc.record({ turn: fc.integer({ min: 0, max: 90 }) }),
    });
    fc.assert(
      fc.property(random, fc.constantFrom("apart", "merge", "evenOdd"), (motif, mode) => {
        const whole = lineOf({}, mode, motif);
        const [inside, outside] = [lineOf({ inside: "tool" }, mode, motif), lineOf({ cutBy: ["tool"] }, mode, motif)];
        expect(Math.abs(lengthOf(inside) + lengthOf(outside) - lengthOf(whole))).toBeLessThan(0.05);
        expect([...inside, ...outside].some(({ closed }) => !closed)).toBe(true);
      }),
      { numRuns: members(12) },
    );
    const half = partOf(
      designWith({
        parts: [
          {
            id: "a",
            motif: { kind: "disc", radius: 20 },
            finish: { fill: null, line: { width: 1 } },
            join: { inside: "t" },
          },
          { id: "t", role: "tool", motif: { kind: "rectangle", width: 100, height: 50 } },
        ],
      }),
    ).geometry.shapes.flatMap(({ path }) => path);
    expect(half).toHaveLength(1);
    expect(half[0]?.closed).toBe(false);
    expect(lengthOf(half)).toBeCloseTo(Math.PI * 20, 3);
  });

  test("copies of a cutter that are mirrored over one another cut once each: 30 × 10 of a square, and keep the same", () => {
    const cutter = {
      id: "cutter",
      role: "tool",
      // From −15 to 5, and mirrored from −5 to 15: they lie over each other for 10.
      motif: { kind: "rectangle", width: 20, height: 10, at: { x: -5, y: 5 } },
      rules: [{ kind: "reflect" }],
    };
    const areaWith = (join: object) => {
      const plate = { id: "plate", motif: { kind: "rectangle", width: 60, height: 60, at: { y: 30 } }, join };
      return areaOf(partOf(designWith({ parts: [plate, cutter] }), "plate"));
    };
    expect(areaWith({ cutBy: ["cutter"] })).toBeCloseTo(3600 - 300, 3);
    expect(areaWith({ inside: "cutter" })).toBeCloseTo(300, 3);
    expect(areaWith({ mode: "faces", inside: "cutter" })).toBeCloseTo(300, 3);
  });

  test("both stay live: a moved cutter cuts elsewhere; a circle of cutters is refused", () => {
    const builder = new SceneBuilder();
    const build = (x: number) =>
      builder.build(
        designWith({
          parts: [
            { id: "hole", role: "tool", motif: { kind: "disc", radius: 5 }, at: { x } },
            { id: "a", motif: { kind: "disc", radius: 20 }, join: { cutBy: ["hole"] } },
          ],
        }),
      ).parts[1];
    const [inside, edge, beyond] = [0, 20, 60].map((x) => build(x)).map((part) => (part ? areaOf(part) : NaN));
    expect(beyond).toBeCloseTo(400 * Math.PI, 1);
    expect(edge).toBeGreaterThan(375 * Math.PI);
    expect(inside).toBeCloseTo(375 * Math.PI, 0);
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [
        { id: "a", motif: { kind: "disc" }, join: { cutBy: ["b"] } },
        { id: "b", motif: { kind: "disc" }, join: { inside: "a" } },
      ],
    });
    expect(problems.map(({ path }) => path)).toEqual(["parts[0].join.cutBy[0]", "parts[1].join.inside"]);
  });
});

describe("doubled lines", () => {
  test("no doubled segment is left: the length is the analytic one, fills stay whole", () => {
    const tile = { kind: "rectangle", width: 10, height: 10 };
    const part = joined(
      tile,
      [{ kind: "grid", columns: 4, rows: 3, pitch: 10 }],
      { dropDoubled: true },
      {
        finish: { line: { width: 0.3 } },
      },
    );
    const lines = part.geometry.shapes.map(({ path, pieces }) => pieces?.at(-1)?.path ?? path);
    const length = lines.flat().reduce((sum, run) => sum + measurePath(run).length, 0);
    expect(length).toBeCloseTo(310, 4);
    expect(areaOf(part)).toBeCloseTo(1200, 6);
  });
});

test("the scene file has the copies, and the outlines a join computed", () => {
  const design = partDesign({ kind: "disc", radius: 12 }, [{ kind: "ring", count: 12, radius: 20 }], {
    join: { mode: "merge" },
  });
  const scene: unknown = JSON.parse(makeSceneJson(subjectOf(design).scene));
  expect(scene).toMatchObject({ parts: [{ motifs: 12, outlines: [expect.stringMatching(/^M/)] }] });
});

test("the scene file has of doubled lines only what is drawn", () => {
  const design = partDesign(
    { kind: "rectangle", width: 10, height: 10 },
    [{ kind: "grid", columns: 4, rows: 3, pitch: 10 }],
    { join: { dropDoubled: true }, finish: { line: { width: 0.3 } } },
  );
  const outlines = makeSceneJson(subjectOf(design).scene).match(/(?<=")M[^"]+/g) ?? [];
  const length = outlines.flatMap(pathOfData).reduce((sum, run) => sum + measurePath(run).length, 0);
  // 4 x 3 squares of 10: 5 lines of 30 and 4 of 40, not 12 rounds of 40.
  expect(length).toBeCloseTo(310, 4);
});
