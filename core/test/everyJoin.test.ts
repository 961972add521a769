import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { arrange, buildScene, combine, type Design, type Path } from "../src";
import { areaOfPath, transformPath } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { withGeometryEngine } from "./prepared";
import { copies, designOf, whole } from "./joinedCopies";
import { members } from "./randomMembers";
import { outlinesOf, partOf } from "./scenes";

beforeAll(withGeometryEngine);

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
/** Loops are thicker, millimetres: a few cells of the grid at the size of these ornaments. */
const THINNEST = 1e-4;
const SHARE = 0.002;
const runs = { numRuns: members(10) };

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

  test("no loop of an even-odd is thinner than what outlines are told apart by", () => {
    fc.assert(
      fc.property(copies, (own) => {
        for (const run of outlinesOf(partOf(designOf(own, { mode: "evenOdd" }))).flat()) {
          // What lies between two shallow arcs is as thick as three times its area over the way round it.
          expect((3 * Math.abs(areaOfPath([run]))) / measurePath(run).length).toBeGreaterThan(THINNEST);
        }
      }),
      {
        numRuns: members(10),
        examples: [
          [
            {
              motif: { kind: "sector", outer: 36, from: 5, to: 298 },
              rules: [
                { kind: "step", count: 4, turn: 33, scale: 1 },
                { kind: "grid", columns: 3, rows: 2, pitch: 20 },
              ],
            },
          ],
        ],
      },
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
