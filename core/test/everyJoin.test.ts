import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { arrange, buildScene, combine, type Design, type Path } from "../src";
import { areaOfPath, transformPath } from "../src/geometry/path";
import { withGeometryEngine } from "./prepared";
import { outlinesOf, partOf } from "./scenes";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const whole = (min: number, max: number) => fc.integer({ min, max });
const kind = <K extends string>(name: K) => fc.constant(name);

/** Motifs that bound an area. */
const motif = fc.oneof(
  fc.record({ kind: kind("disc"), radius: whole(4, 25) }),
  fc.record({ kind: kind("petal"), length: whole(10, 40), width: whole(4, 20), tip: fc.constantFrom(0, 0.6) }),
  fc.record({ kind: kind("star"), points: whole(3, 8), outer: whole(12, 30), inner: whole(4, 11) }),
  fc.record({ kind: kind("polygon"), sides: whole(3, 8), radius: whole(5, 25), corner: whole(0, 3) }),
  fc.record({ kind: kind("rectangle"), width: whole(4, 40), height: whole(4, 40) }),
  fc.record({ kind: kind("ring"), outer: whole(12, 25), inner: whole(2, 11) }),
  fc.record({ kind: kind("drop"), length: whole(10, 40), width: whole(4, 20) }),
  fc.record({ kind: kind("sector"), outer: whole(10, 40), from: whole(0, 60), to: whole(80, 300) }),
);

/** Rules that let copies overlap, touch or stand apart. */
const rule = fc.oneof(
  fc.record({ kind: kind("turn"), count: whole(2, 8) }),
  fc.record({
    kind: kind("reflect"),
    angle: whole(-90, 90),
    through: fc.record({ x: whole(-10, 10), y: whole(-10, 10) }),
  }),
  fc.record({ kind: kind("step"), count: whole(2, 5), turn: whole(5, 60), scale: fc.constantFrom(0.8, 1) }),
  fc.record({ kind: kind("ring"), count: whole(2, 8), radius: whole(5, 40) }),
  fc.record({ kind: kind("grid"), columns: whole(1, 3), rows: whole(1, 3), pitch: whole(8, 40) }),
);

const MOST_COPIES = 24;
/** Ornaments whose copies share edges, arcs and points on purpose. */
const sharing = fc.oneof(
  fc.record({ sides: whole(3, 8), radius: whole(5, 25), count: whole(2, 12) }).map(({ sides, radius, count }) => ({
    motif: { kind: "polygon", sides, radius },
    rules: [{ kind: "turn", count }, { kind: "reflect" }],
  })),
  fc.record({ count: whole(3, 12), over: whole(-5, 20), outer: whole(10, 30) }).map(({ count, over, outer }) => ({
    motif: { kind: "sector", outer, inner: outer / 3, from: 0, to: 360 / count + over },
    rules: [{ kind: "turn", count }],
  })),
  fc.record({ columns: whole(1, 4), rows: whole(1, 4), width: whole(4, 12) }).map(({ columns, rows, width }) => ({
    motif: { kind: "rectangle", width, height: 5 },
    rules: [{ kind: "grid", lattice: "brick", columns, rows, pitch: { x: width, y: 5 } }],
  })),
  fc.record({ columns: whole(2, 4), radius: whole(4, 12) }).map(({ columns, radius }) => ({
    motif: { kind: "polygon", sides: 6, radius },
    rules: [{ kind: "grid", lattice: "hex", columns, rows: 3, pitch: radius * Math.sqrt(3) }],
  })),
  fc.record({ radius: whole(4, 25), count: whole(2, 9) }).map(({ radius, count }) => ({
    motif: { kind: "disc", radius },
    rules: [
      { kind: "ring", count, radius },
      { kind: "turn", count: 2 },
    ],
  })),
);

const general = fc.record({ motif, rules: fc.array(rule, { minLength: 1, maxLength: 2 }) });

const copies = fc
  .oneof(general, sharing)
  .filter((own) => partOf(designOf(own, {})).geometry.placements.count <= MOST_COPIES);

interface Copies {
  readonly motif: object;
  readonly rules: readonly object[];
}

function designOf({ motif: own, rules }: Copies, join: object, at: object = {}): Design {
  return designWith({
    parts: [
      { id: "a", motif: own, rules, join, at },
      { id: "tool", role: "tool", motif: { kind: "disc", radius: 30 }, at },
    ],
  });
}

/** The area of a part as it is painted, square millimetres. */
function areaOf(design: Design): number {
  const part = partOf(design);
  const { faceOf } = part.geometry;
  // Faces are followed by the lines drawn over them.
  const outlines = outlinesOf(part).filter((_, index) => !faceOf || faceOf[index] !== null);
  return outlines.reduce((sum, path) => sum + Math.abs(areaOfPath(path)), 0);
}

/** Areas agree within what curves are flattened to: a thousandth of all that lies over each other. */
const NEAR = 1;
const SHARE = 0.002;
const runs = { numRuns: 10 };

describe("whatever is joined", () => {
  test("merged copies cover at least the largest of them and at most all together; even-odd what an odd number covers", () => {
    fc.assert(
      fc.property(copies, (own) => {
        const outlines = outlinesOf(partOf(designOf(own, {})));
        const areas = outlines.map((path) => Math.abs(areaOfPath(path)));
        const merged = areaOf(designOf(own, { mode: "merge" }));
        expect(merged).toBeLessThan(areas.reduce((sum, area) => sum + area, 0) + NEAR);
        expect(merged).toBeGreaterThan(Math.max(...areas) - NEAR);

        const { faces } = arrange(outlines);
        const covered = (counts: (covering: number) => number) =>
          faces.reduce((sum, { area, covering }) => sum + counts(covering.length) * area, 0);
        expect(Math.abs(covered((count) => Number(count > 0)) - merged)).toBeLessThan(NEAR);
        const together = areas.reduce((sum, area) => sum + area, 0);
        expect(Math.abs(covered((count) => count) - together)).toBeLessThan(NEAR + SHARE * together);
        const evenOdd = areaOf(designOf(own, { mode: "evenOdd" }));
        expect(Math.abs(covered((count) => count % 2) - evenOdd)).toBeLessThan(NEAR);
      }),
      runs,
    );
  });

  test("faces add up to what is merged, and Euler's formula holds of them", () => {
    fc.assert(
      fc.property(copies, (own) => {
        const faces = areaOf(designOf(own, { mode: "faces" }));
        expect(Math.abs(faces - areaOf(designOf(own, { mode: "merge" })))).toBeLessThan(NEAR);
        const { nodes, edges, bounded, components } = arrange(outlinesOf(partOf(designOf(own, {}))));
        expect(nodes - edges + bounded + 1).toBe(1 + components);
      }),
      runs,
    );
  });

  test("what another part takes away and what it keeps are the whole", () => {
    fc.assert(
      fc.property(copies, fc.constantFrom("merge", "evenOdd", "faces"), (own, mode) => {
        const without = areaOf(designOf(own, { mode, cutBy: ["tool"] }));
        const within = areaOf(designOf(own, { mode, inside: "tool" }));
        expect(Math.abs(without + within - areaOf(designOf(own, { mode })))).toBeLessThan(NEAR);
        expect(within).toBeLessThan(Math.PI * 900 + NEAR);
      }),
      runs,
    );
  });

  test("turned and moved as a whole it stays as large, and every number is finite", () => {
    fc.assert(
      fc.property(copies, fc.constantFrom("merge", "evenOdd", "faces", "weave"), whole(1, 359), (own, mode, turn) => {
        const at = { x: 17.3, y: -4.1, turn };
        const moved = designOf(own, { mode }, at);
        const { shapes, placements } = partOf(moved).geometry;
        expect(shapes.every(({ path }) => path.every(({ coordinates }) => coordinates.every(Number.isFinite)))).toBe(
          true,
        );
        expect(placements.matrices.every(Number.isFinite)).toBe(true);
        expect(buildScene(moved).problems).toEqual([]);
        if (mode !== "weave") expect(Math.abs(areaOf(moved) - areaOf(designOf(own, { mode })))).toBeLessThan(NEAR);
      }),
      runs,
    );
  });

  test("a thousandth or a thousand times as large, and far away, it has the same loops and faces", () => {
    fc.assert(
      fc.property(copies, fc.constantFrom(1e-3, 0.07, 11, 1e3), fc.constantFrom(0, 1e4), (own, scale, away) => {
        const outlines = outlinesOf(partOf(designOf(own, {})));
        const carried = outlines.map((path) => transformPath(path, [scale, 0, 0, scale, away, -away]));
        const counts = (paths: readonly Path[]) => ({
          loops: combine(paths, "union").length,
          alternating: combine([paths.flat()], "union", "evenodd").length,
          faces: arrange(paths).faces.length,
        });
        expect(counts(carried)).toEqual(counts(outlines));
      }),
      runs,
    );
  });
});
