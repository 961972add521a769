import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { planCut, type CutPlan } from "../src";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { areaOfPath, boxOfPath, type Subpath } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import type { Point } from "../src/geometry/point";
import { buildScene } from "../src/scene/sceneBuilder";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const planOf = (parts: readonly object[], cut: object = {}): CutPlan =>
  planCut(buildScene(designWith({ parts, making: { cut } })));

const rectangle = (id: string, x: number, y: number, width = 20, height = 20) => ({
  id,
  motif: { kind: "rectangle", width, height, at: { x, y } },
});
const ring = (id: string, outer: number, inner: number) => ({ id, motif: { kind: "ring", outer, inner } });
const roundIn = (count: number, radius: number) => [{ kind: "ring", count, radius }];

const lengthOf = ({ strokes }: CutPlan) =>
  strokes.flatMap(({ runs }) => runs).reduce((sum, run) => sum + measurePath(run).length, 0);
/** Half the width of what each stroke goes round, in order. */
const radiiOf = ({ strokes }: CutPlan) =>
  strokes.map(({ part, runs }) => {
    const { left, right } = boxOfPath(runs);
    return `${part} ${((right - left) / 2).toFixed(3)}`;
  });

/** By a ray to the right, over chords: whether a point lies in an odd number of closed runs. */
function isWithin(runs: readonly Subpath[], { x, y }: Point): boolean {
  let inside = false;
  for (const corners of flattenPath(runs, 0.001)) {
    corners.forEach((p, index) => {
      const q = corners[(index + 1) % corners.length] ?? p;
      if (p.y <= y !== q.y <= y && p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x) > x) inside = !inside;
    });
  }
  return inside;
}

/** How far a point is from the nearest of some runs. */
function awayFrom(runs: readonly Subpath[], point: Point): number {
  const gaps = flattenPath(runs, 0.001).flatMap((corners) =>
    corners.map((p, index) => distanceToChord(point, p, corners[(index + 1) % corners.length] ?? p)),
  );
  return gaps.reduce((least, gap) => Math.min(least, gap), Infinity);
}

/** A rectangle on a checked sheet, in squares. */
interface Block {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** The squares of a block, and the sides of squares it runs along: level ones begin at their left, upright ones at their top. */
function squaresAndSides({ left, top, width, height }: Block) {
  const across = Array.from({ length: width }, (_, k) => left + k);
  const down = Array.from({ length: height }, (_, k) => top + k);
  return {
    squares: new Set(across.flatMap((x) => down.map((y) => `${x} ${y}`))),
    sides: new Set([
      ...across.flatMap((x) => [`level ${x} ${top}`, `level ${x} ${top + height}`]),
      ...down.flatMap((y) => [`upright ${left} ${y}`, `upright ${left + width} ${y}`]),
    ]),
  };
}

/** What hangs together by sides in common, square by square. */
function groupsOf(blocks: readonly Block[]) {
  const groups: { squares: Set<string>; sides: Set<string> }[] = [];
  for (const block of blocks) {
    const own = squaresAndSides(block);
    for (const group of groups.filter(({ sides }) => [...sides].some((side) => own.sides.has(side)))) {
      for (const square of group.squares) own.squares.add(square);
      for (const side of group.sides) own.sides.add(side);
      groups.splice(groups.indexOf(group), 1);
    }
    groups.push(own);
  }
  return groups;
}

/** The two squares a side lies between. */
function besides(side: string): readonly [string, string] {
  const [way, x, y] = side.split(" ");
  return way === "level" ? [`${x} ${Number(y) - 1}`, `${x} ${y}`] : [`${Number(x) - 1} ${y}`, `${x} ${y}`];
}

describe("what is kept and what is waste is decided for the sheet as a whole", () => {
  test("two rectangles that share half a side: together they grow by half of the kerf; what they share is cut once, down its middle", () => {
    const plan = planOf([rectangle("a", 0, 0), rectangle("b", 20, 10)], { kerf: 0.4 });
    const { left, right, top, bottom } = boxOfPath(plan.strokes.flatMap(({ runs }) => runs));
    expect(right - left).toBeCloseTo(40.4, 6);
    expect(bottom - top).toBeCloseTo(30.4, 6);
    expect(plan.between).toBeCloseTo(10, 6);
    expect(plan.doubled).toBeCloseTo(10, 6);
    expect(plan.open).toEqual([]);
    // 140 mm of sides: six corners turn out, in a quarter circle of the kerf's half each, and two turn in, a half less on both sides.
    expect(lengthOf(plan)).toBeCloseTo(140 + 6 * (Math.PI / 2) * 0.2 - 2 * 2 * 0.2 + 10, 3);
  });

  test("6 × 6 touching squares: one edge around all, and each line within it once", () => {
    const plan = planOf(
      [{ ...rectangle("a", 0, 0, 10, 10), rules: [{ kind: "grid", columns: 6, rows: 6, pitch: 10 }] }],
      { kerf: 0.2 },
    );
    expect(plan.between).toBeCloseTo(2 * 5 * 60, 6);
    expect(lengthOf(plan)).toBeCloseTo(240 + 2 * Math.PI * 0.1 + 2 * 5 * 60, 3);
    expect(plan.loops.map(({ level }) => level)).toEqual([0]);
  });

  test("a plate with a rim of its own on it: its edge grows, its holes shrink and come first, the rim's inner line is cut as it is", () => {
    const holes = { id: "holes", motif: { kind: "disc", radius: 4 }, rules: roundIn(24, 40) };
    const plan = planOf([ring("plate", 60, 20), holes, ring("rim", 60, 56)], { kerf: 0.2 });
    const radii = radiiOf(plan);
    expect(radii.filter((one) => one.startsWith("holes"))).toEqual(new Array(24).fill("holes 3.900"));
    expect(radii.filter((one) => !one.startsWith("holes"))).toEqual(["plate 19.900", "rim 56.000", "plate 60.100"]);
    expect(radii.lastIndexOf("holes 3.900")).toBeLessThan(radii.indexOf("rim 56.000"));
    expect(plan.open).toEqual([]);
    expect(plan.between).toBeCloseTo(2 * Math.PI * 56, 2);
  });

  test("two outlines exactly the same are one piece, cut once", () => {
    const plan = planOf([rectangle("a", 0, 0), rectangle("b", 0, 0)], { kerf: 0.2 });
    expect(lengthOf(plan)).toBeCloseTo(80 + 2 * Math.PI * 0.1, 3);
    expect([plan.between, plan.open.length, plan.loops.length]).toEqual([0, 0, 1]);
  });

  test("an even-odd fan whose discs all go through one point: every outline has its kerf", () => {
    const discs = { id: "fan", motif: { kind: "disc", radius: 20 }, rules: roundIn(12, 20), join: { mode: "evenOdd" } };
    const plan = planOf([discs], { kerf: 0.2 });
    expect(plan.loops.length).toBeGreaterThan(12);
    for (const { run, kerfed } of plan.loops) {
      const [before, around] = [Math.abs(areaOfPath([run])), measurePath(run).length];
      const grown = kerfed.reduce((sum, own) => sum + Math.abs(areaOfPath([own])), 0) - before;
      expect(Math.abs(grown - 0.1 * around)).toBeLessThan(0.02 * around);
    }
  });

  const SQUARE = 5;
  const block = fc.record({
    left: fc.integer({ min: -5, max: 4 }),
    top: fc.integer({ min: -5, max: 4 }),
    width: fc.integer({ min: 1, max: 6 }),
    height: fc.integer({ min: 1, max: 6 }),
  });
  const partsOf = (blocks: readonly Block[]) =>
    blocks.map(({ left, top, width, height }, index) =>
      rectangle(
        `b${index}`,
        (left + width / 2) * SQUARE,
        // A rectangle stands on its place.
        (top + height) * SQUARE,
        width * SQUARE,
        height * SQUARE,
      ),
    );
  const middleOf = (square: string): Point => {
    const [x = 0, y = 0] = square.split(" ").map(Number);
    return { x: (x + 0.5) * SQUARE, y: (y + 0.5) * SQUARE };
  };

  test("blocks that share sides, lie in each other and over each other: kept square by square, each line cut once", () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 8 }), (blocks) => {
        const groups = groupsOf(blocks);
        const plan = planOf(partsOf(blocks), { kerf: 0 });
        const sides = groups.reduce((sum, group) => sum + group.sides.size, 0);
        expect(lengthOf(plan)).toBeCloseTo(sides * SQUARE, 6);
        const isEdge = (group: (typeof groups)[number], side: string) =>
          besides(side).filter((square) => group.squares.has(square)).length === 1;
        const within = groups.reduce(
          (sum, group) => sum + [...group.sides].filter((side) => !isEdge(group, side)).length,
          0,
        );
        expect(plan.between).toBeCloseTo(within * SQUARE, 6);
        expect(plan.open).toEqual([]);
        const runs = plan.loops.map(({ run }) => run);
        for (let x = -6; x < 11; x++) {
          for (let y = -6; y < 11; y++) {
            const isKept = groups.filter(({ squares }) => squares.has(`${x} ${y}`)).length % 2 === 1;
            expect(isWithin(runs, middleOf(`${x} ${y}`))).toBe(isKept);
          }
        }
      }),
      { numRuns: members(15) },
    );
  });

  test("blocks beside and within each other: every edge is cut half of the kerf from what is kept", () => {
    const kerf = 0.4;
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 8 }), (blocks) => {
        const groups = groupsOf(blocks);
        // Blades that cross a neighbour are another matter.
        const over = (a: ReadonlySet<string>, b: ReadonlySet<string>) =>
          [...a].filter((square) => b.has(square)).length;
        fc.pre(
          groups.every(({ squares: a }, i) =>
            groups.every(({ squares: b }, j) => i >= j || [0, a.size, b.size].includes(over(a, b))),
          ),
        );
        const cut = planOf(partsOf(blocks), { kerf }).loops.flatMap(({ kerfed }) => kerfed);
        const isKept = (square: string) => groups.filter(({ squares }) => squares.has(square)).length % 2 === 1;
        for (const side of new Set(groups.flatMap((group) => [...group.sides]))) {
          const [kept, waste] = [...besides(side)].sort((a, b) => Number(isKept(b)) - Number(isKept(a)));
          if (kept === undefined || waste === undefined || !isKept(kept) || isKept(waste)) continue;
          const [from, to] = [middleOf(kept), middleOf(waste)];
          const share = 0.5 + kerf / 2 / SQUARE;
          const place = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
          expect(awayFrom(cut, place)).toBeLessThan(1e-4);
        }
      }),
      { numRuns: members(20) },
    );
  });

  test("rings of equal radii on each other: the sheet keeps what any covers, and each circle is cut once on its own side", () => {
    const radius = fc.integer({ min: 1, max: 9 });
    const rings = fc.array(
      fc.tuple(radius, radius).filter(([a, b]) => a !== b),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(rings, (pairs) => {
        const bands = pairs.map(([a, b]) => [Math.min(a, b), Math.max(a, b)] as const);
        const plan = planOf(
          bands.map(([inner, outer], index) => ring(`r${index}`, 6 * outer, 6 * inner)),
          { kerf: 0.2 },
        );
        // Bands that hang together by a circle in common.
        const groups: (readonly (readonly [number, number])[])[] = [];
        for (const band of bands) {
          const touching = groups.filter((group) => group.some((one) => one.some((circle) => band.includes(circle))));
          for (const group of touching) groups.splice(groups.indexOf(group), 1);
          groups.push([...touching.flat(), band]);
        }
        const covers = (group: (typeof groups)[number], at: number) =>
          group.some(([low, high]) => low < at && at < high);
        const kept = (at: number) => groups.filter((group) => covers(group, at)).length % 2 === 1;
        const exact = groups.flatMap((group) =>
          [...new Set(group.flat())].map((circle) => {
            const isEdge = covers(group, circle - 0.5) !== covers(group, circle + 0.5);
            if (!isEdge) return 6 * circle;
            return 6 * circle + (kept(circle - 0.5) ? 0.1 : -0.1);
          }),
        );
        const made = plan.strokes.map(({ runs }) => {
          const { left, right } = boxOfPath(runs);
          return (right - left) / 2;
        });
        const sorted = (values: readonly number[]) =>
          [...values].sort((a, b) => a - b).map((value) => Number(value.toFixed(3)));
        expect(sorted(made)).toEqual(sorted(exact));
        expect(plan.open).toEqual([]);
      }),
      { numRuns: members(20) },
    );
  });
});
