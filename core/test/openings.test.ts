import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { areaOfPath } from "../src/geometry/path";
import { withGeometryEngine } from "./prepared";
import { outlinesOf, partOf } from "./scenes";
import { partDesign } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

/** Spokes from an open eye to a rim of straight sides, as faces. */
function wheel(spokes: number, eye: number, close: number) {
  const corner = (k: number) => {
    const angle = (2 * Math.PI * k) / spokes;
    return { x: 30 * Math.sin(angle), y: -30 * Math.cos(angle) };
  };
  const paths = [{ nodes: [{ x: 0, y: -eye }, corner(0)] }, { nodes: [corner(0), corner(1)] }];
  const part = partOf(
    partDesign({ kind: "drawn", paths }, [{ kind: "turn", count: spokes }], { join: { mode: "faces", close } }),
  );
  const { faceOf, openings } = part.geometry;
  const faces = outlinesOf(part).filter((_, k) => faceOf?.[k] !== null);
  return { openings, areas: faces.map((path) => Math.abs(areaOfPath(path))).sort((a, b) => a - b) };
}

describe("lines that end a little before another", () => {
  test("are told with their place, and closed they bound the face they left open", () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 14 }), fc.integer({ min: 5, max: 11 }), (spokes, tenths) => {
        const eye = tenths / 10;
        const width = 2 * eye * Math.sin(Math.PI / spokes);
        const open = wheel(spokes, eye, 0);
        expect(open.areas).toHaveLength(1);
        expect(open.openings.length).toBeGreaterThanOrEqual(spokes);
        for (const { from, to, width: found } of open.openings) {
          expect(found).toBeCloseTo(width, 6);
          expect(Math.hypot(from.x, from.y)).toBeCloseTo(eye, 9);
          expect(Math.hypot(to.x, to.y)).toBeCloseTo(eye, 6);
        }
        const closed = wheel(spokes, eye, width + 0.01);
        expect(closed.openings).toEqual([]);
        expect(closed.areas).toHaveLength(spokes + 1);
        const eyeArea = (spokes / 2) * eye ** 2 * Math.sin((2 * Math.PI) / spokes);
        expect(Math.abs((closed.areas[0] ?? 0) - eyeArea)).toBeLessThan(0.03);
      }),
      { numRuns: members(10) },
    );
  });

  test("gaps as wide as may be meant are not told, nor ends that lie on another line", () => {
    expect(wheel(6, 6, 0).openings).toEqual([]);
    const cross = {
      kind: "drawn",
      paths: [
        {
          nodes: [
            { x: -30, y: 0 },
            { x: 30, y: 0 },
          ],
        },
        {
          nodes: [
            { x: 0, y: 0 },
            { x: 0, y: 25 },
          ],
        },
      ],
    };
    const at = (gap: number) =>
      partOf(
        partDesign(
          {
            ...cross,
            paths: [
              cross.paths[0],
              {
                nodes: [
                  { x: 0, y: gap },
                  { x: 0, y: 25 },
                ],
              },
            ],
          },
          [{ kind: "reflect" }],
          { join: { mode: "faces" } },
        ),
      ).geometry.openings;
    expect(at(0)).toEqual([]);
    expect(at(0.5).length).toBeGreaterThan(0);
    expect(at(0.5)[0]?.width).toBeCloseTo(0.5, 9);
  });
});
