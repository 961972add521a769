import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, checkStitches, planStitches, type StitchPlan } from "../src";
import { flattenPath } from "../src/geometry/flatten";
import { windingOf, type Chord } from "../src/geometry/winding";
import type { Point } from "../src/geometry/point";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { outlinesOf, partOf } from "./scenes";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const whole = (min: number, max: number) => fc.integer({ min, max });

function designOf(motif: object, stitch: object, making: object = {}, rules: readonly object[] = []) {
  return designWith({
    parts: [{ id: "a", motif, rules: [...rules], finish: { fill: null }, stitch }],
    making: { stitch: { frame: { width: 400, height: 400 }, tie: false, ...making } },
  });
}

const plansOf = (...design: Parameters<typeof designOf>) => planStitches(buildScene(designOf(...design)));

/** What is sewn, its places turned back by the angle of the rows: rows are level. */
function levelStitches({ x, y, how }: StitchPlan, angle: number): { from: Point; to: Point }[] {
  const turn = (-angle * Math.PI) / 180;
  const at = (k: number) => ({
    x: (x[k] ?? 0) * Math.cos(turn) - (y[k] ?? 0) * Math.sin(turn),
    y: (x[k] ?? 0) * Math.sin(turn) + (y[k] ?? 0) * Math.cos(turn),
  });
  return [...how.keys()].flatMap((k) => (k > 0 && how[k] === 0 ? [{ from: at(k - 1), to: at(k) }] : []));
}

const isLevel = ({ from, to }: { from: Point; to: Point }) => Math.abs(from.y - to.y) < 1e-6;

/** A rectangle about the sheet's middle, turned with its rows. */
const rectangle = (width: number, height: number, angle: number) => ({
  kind: "rectangle",
  width,
  height,
  at: { turn: angle, y: 0 },
});

describe("rows", () => {
  const sides = { width: whole(14, 60), height: whole(8, 40), angle: whole(0, 179) };

  test("go beyond the edge by the pull at both ends, and are sewn once", () => {
    fc.assert(
      fc.property(
        fc.record({
          ...sides,
          pull: fc.double({ min: 0, max: 2, noNaN: true }),
          spacing: fc.constantFrom(0.5, 0.8, 1),
        }),
        ({ width, height, angle, pull, spacing }) => {
          const plan = plansOf(rectangle(width, height, angle), { fill: { angle, spacing }, pull });
          const rows = new Map<number, { left: number; right: number; sewn: number }>();
          for (const stitch of levelStitches(plan, angle)) {
            if (!isLevel(stitch)) continue;
            const [a, b] = [stitch.from.x, stitch.to.x];
            const row = rows.get(Math.round(stitch.to.y * 1e3)) ?? { left: Infinity, right: -Infinity, sewn: 0 };
            rows.set(Math.round(stitch.to.y * 1e3), {
              left: Math.min(row.left, a, b),
              right: Math.max(row.right, a, b),
              sewn: row.sewn + Math.abs(a - b),
            });
          }
          // Half a row more may be one more or none.
          expect(Math.abs(rows.size - height / spacing)).toBeLessThan(0.5 + 1e-6);
          for (const { left, right, sewn } of rows.values()) {
            expect(right - left).toBeCloseTo(width + 2 * pull, 3);
            expect(sewn).toBeCloseTo(width + 2 * pull, 3);
          }
        },
      ),
      { numRuns: members(20) },
    );
  });

  test("stay level where they are closer than the shortest stitch, as long as area over spacing", () => {
    fc.assert(
      fc.property(
        fc.record({ ...sides, spacing: fc.double({ min: 0.2, max: 0.4, noNaN: true }) }),
        ({ width, height, angle, spacing }) => {
          const plan = plansOf(rectangle(width, height, angle), { fill: { angle, spacing } });
          const stitches = levelStitches(plan, angle);
          const along = stitches.reduce((sum, { from, to }) => sum + Math.abs(from.x - to.x), 0);
          const rows = new Set(stitches.filter(isLevel).map(({ to }) => Math.round(to.y * 1e3))).size;
          expect(Math.abs(rows - height / spacing)).toBeLessThan(0.5 + 1e-6);
          expect(along / (width * rows)).toBeCloseTo(1, 2);
          for (const stitch of stitches) {
            const length = Math.hypot(stitch.to.x - stitch.from.x, stitch.to.y - stitch.from.y);
            expect(length).toBeGreaterThan(0.398);
            if (!isLevel(stitch)) expect(length).toBeLessThan(0.42);
          }
        },
      ),
      { numRuns: members(20) },
    );
  });

  test("bowed as waves are as far apart as their spacing everywhere", () => {
    fc.assert(
      fc.property(
        fc.record({
          angle: whole(0, 179),
          spacing: fc.constantFrom(0.4, 0.5, 0.8),
          length: whole(6, 24),
          height: fc.double({ min: 0.3, max: 3, noNaN: true }),
          stitch: whole(2, 6),
        }),
        ({ angle, spacing, length, height, stitch }) => {
          const plan = plansOf(rectangle(50, 30, angle), {
            fill: { angle, spacing, length: stitch, wave: { length, height } },
          });
          const stitches = levelStitches(plan, angle);
          for (let x = -22.03; x < 23; x += 1.37) {
            const heights = stitches
              .flatMap(({ from, to }) => {
                const [left, right] = from.x < to.x ? [from, to] : [to, from];
                if (x < left.x || x >= right.x) return [];
                return [left.y + ((right.y - left.y) * (x - left.x)) / (right.x - left.x)];
              })
              .filter((y) => y > -29 + height && y < -1 - height)
              .sort((a, b) => a - b);
            expect(heights.length).toBeGreaterThan(10);
            heights.slice(1).forEach((y, k) => expect(y - (heights[k] ?? 0)).toBeCloseTo(spacing, 3));
          }
        },
      ),
      { numRuns: members(12) },
    );
  });
});

/** A polygon whose sides are moved out by a distance, each corner where its two sides then meet. */
function mitred(polygon: readonly Point[], by: number): Chord[] {
  const sides = polygon.map((from, k) => {
    const to = polygon[(k + 1) % polygon.length] ?? from;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    return { from, way: { x: (to.x - from.x) / length, y: (to.y - from.y) / length } };
  });
  const out = windingOf(chordsOf(polygon), { x: 0, y: 0 }) > 0 ? 1 : -1;
  const corners = sides.map(({ from, way }, k) => {
    const before = sides.at(k - 1)?.way ?? way;
    const [n, m] = [
      { x: way.y * out, y: -way.x * out },
      { x: before.y * out, y: -before.x * out },
    ];
    const share = by / (1 + n.x * m.x + n.y * m.y);
    return { x: from.x + (n.x + m.x) * share, y: from.y + (n.y + m.y) * share };
  });
  return chordsOf(corners);
}

const chordsOf = (points: readonly Point[]): Chord[] => points.map((to, k): Chord => [points.at(k - 1) ?? to, to]);

describe("satin", () => {
  test("stays within the mitred band at the tips of stars", () => {
    fc.assert(
      fc.property(
        fc.record({ points: whole(3, 9), outer: whole(22, 34), inner: whole(7, 14), width: whole(1, 6) }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        ({ points, outer, inner, width }, pull) => {
          const motif = { kind: "star", points, outer, inner };
          const line = { kind: "satin", width };
          const plan = plansOf(motif, { line, pull });
          const [outline = []] = outlinesOf(partOf(designOf(motif, { line })));
          const [corners = []] = flattenPath(outline, 0.01);
          const polygon = corners.slice(0, -1);
          const band = mitred(polygon, width / 2 + pull + 0.1);
          plan.how.forEach((_, k) => {
            expect(windingOf(band, { x: plan.x[k] ?? 0, y: plan.y[k] ?? 0 })).not.toBe(0);
          });
        },
      ),
      { numRuns: members(20) },
    );
  });
});

describe("what is told of needle points", () => {
  const checked = (plan: StitchPlan, check: string) => checkStitches(plan).find(({ kind: own }) => own === check);

  test("twelve runs begun in one hole are told there, however thin thread is around it", () => {
    const spokes = [{ kind: "turn", count: 12, pivot: { x: 0, y: 0 } }];
    const plan = plansOf({ kind: "line", length: 30 }, { line: { kind: "running" } }, {}, spokes);
    const dense = checked(plan, "dense");
    expect(dense).toMatchObject({ state: "doubtful", figures: { holes: 1 } });
    expect(dense?.figures["pierced"]).toBeGreaterThanOrEqual(12);
    expect(dense?.places).toHaveLength(1);
    expect(Math.hypot(dense?.places[0]?.x ?? 9, dense?.places[0]?.y ?? 9)).toBeLessThan(0.4);
  });

  test("stitches that tie a run are shorter than all others, and counted", () => {
    const motif = { kind: "disc", radius: 10 };
    expect(checked(plansOf(motif, { fill: {} }), "lengths")?.figures).toMatchObject({ ties: 0, short: 0 });
    const tied = plansOf(motif, { fill: {} }, { tie: true });
    const lengths = levelStitches(tied, 0).map(({ from, to }) => Math.hypot(to.x - from.x, to.y - from.y));
    const ties = lengths.filter((length) => length < 0.398).length;
    expect(ties).toBeGreaterThan(0);
    expect(checked(tied, "lengths")).toMatchObject({ state: "passed", figures: { ties, short: 0 } });
  });
});
