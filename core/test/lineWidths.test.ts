import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { bakedCopies, matrixAt, sizeOf, type Design } from "../src";
import { wholePart } from "../src/scene/wholePart";
import { IDENTITY } from "../src/geometry/matrix";
import { flattenPath } from "../src/geometry/flatten";
import { pieceOutline } from "../src/motif/drawing";
import { withGeometryEngine } from "./prepared";
import { partOf } from "./scenes";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(withGeometryEngine);

const whole = (min: number, max: number) => fc.integer({ min, max });

/** Lines of every dress. */
const dressed = fc.record({
  width: whole(1, 4),
  dots: fc.constantFrom(null, { gap: 1 }),
  swell: fc.constantFrom(
    [],
    [
      { at: 0, width: 2 },
      { at: 1, width: 2 },
    ],
  ),
  dash: fc.constantFrom([], [5, 2]),
  place: fc.constantFrom("center", "outside"),
  paint: fc.constantFrom("#2B2140", {
    kind: "linear",
    over: "line",
    stops: [
      { at: 0, color: "#FF0000" },
      { at: 1, color: "#00FF00" },
    ],
  }),
});

/** What leaves copies by themselves, and may place them anew. */
const join = fc.constantFrom({}, { dropDoubled: true }, { cutBy: ["knife"] });

interface Lined {
  readonly line: object;
  readonly join: object;
  readonly scale: number;
}

function designOf({ line, join: joined, scale }: Lined, widths: string): Design {
  return designWith({
    parts: [
      {
        id: "a",
        motif: { kind: "disc", radius: 12 },
        rules: [{ kind: "step", count: 2, move: { x: 200, y: 0 }, scale }],
        join: joined,
        finish: { fill: null, line: { ...line, widths } },
      },
      { id: "knife", role: "tool", motif: { kind: "disc", radius: 1 }, at: { x: 0, y: 90 } },
    ],
  });
}

/** How far the paint of a copy's line reaches beyond the outline, millimetres. */
function reachOf(design: Design, copy: number, radius: number): number {
  const part = partOf(design);
  const [, , , , x, y] = matrixAt(part.geometry.copies.placements.matrices, copy);
  const reaches = (wholePart(part, IDENTITY).pieces ?? []).flatMap((piece) => {
    const half = piece.line && piece.line.paint !== null ? (piece.line.width * sizeOf(piece.at ?? IDENTITY)) / 2 : 0;
    const from = flattenPath(pieceOutline(piece), 1e-3).flat();
    return from.map((point) => Math.hypot(point.x - x, point.y - y) + half).filter((far) => far < 100);
  });
  return Math.max(...reaches) - radius;
}

describe("how wide lines of copies are", () => {
  test("as much wider as a copy is larger, or the same everywhere, however they are dressed, cut and freed of doubles", () => {
    fc.assert(
      fc.property(dressed, join, fc.constantFrom(0.1, 0.5, 2), (line, joined, scale) => {
        const lined = { line, join: joined, scale };
        const first = reachOf(designOf(lined, "copies"), 0, 12);
        expect(first).toBeGreaterThan(0.4);
        expect(reachOf(designOf(lined, "copies"), 1, 12 * scale)).toBeCloseTo(first * scale, 2);
        expect(reachOf(designOf(lined, "same"), 0, 12)).toBeCloseTo(first, 6);
        expect(Math.abs(reachOf(designOf(lined, "same"), 1, 12 * scale) - first)).toBeLessThan(0.01);
      }),
      { numRuns: members(8) },
    );
  });

  test("copies bent along a line keep the width their size gives them", () => {
    const bent = designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "petal" },
          rules: [
            { kind: "step", count: 3, scale: 0.5 },
            { kind: "along", path: "b", count: 2, bend: true },
          ],
        },
        { id: "b", motif: { kind: "arc", radius: 60, from: 0, to: 200 } },
      ],
    });
    const { placements } = partOf(bent).geometry;
    const sizes = Array.from({ length: placements.count }, (_, copy) => sizeOf(matrixAt(placements.matrices, copy)));
    [1, 0.5, 0.25, 1, 0.5, 0.25].forEach((size, copy) => expect(sizes[copy]).toBeCloseTo(size, 9));
  });

  test("baked, lines are as wide as they were", () => {
    for (const [widths, smaller] of [
      ["copies", 1.5],
      ["same", 3],
    ] as const) {
      const lined = { line: { width: 3, paint: "#2B2140" }, join: {}, scale: 0.5 };
      const { motif } = bakedCopies(partOf(designOf(lined, widths)));
      expect(motif).toMatchObject({ source: { shapes: [{ line: { width: 3 } }, { line: { width: smaller } }] } });
    }
  });
});
