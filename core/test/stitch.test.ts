import { beforeAll, describe, expect, test } from "@jest/globals";
import { buildScene, planStitches, sewnBetween, toldOfStitches, type StitchPlan } from "../src";
import { withGeometryEngine } from "./prepared";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const BARE = { tie: false };

function planOf(parts: object | readonly object[], making: object = BARE): StitchPlan {
  const list = Array.isArray(parts) ? parts : [parts];
  const design = designWith({
    parts: list.map((part: object, index) => ({ id: `p${index}`, finish: { fill: null }, ...part })),
    making: { stitch: making },
  });
  const scene = buildScene(design);
  expect(scene.problems).toEqual([]);
  return planStitches(scene);
}

const running = (more: object = {}) => ({ stitch: { line: { kind: "running", ...more } } });
const filled = (more: object = {}, rest: object = {}) => ({ stitch: { fill: { spacing: 0.5, ...more }, ...rest } });

interface Stitched {
  readonly from: { x: number; y: number };
  readonly to: { x: number; y: number };
  readonly length: number;
}

function stitchesOf({ x, y, how }: StitchPlan): Stitched[] {
  const stitches: Stitched[] = [];
  how.forEach((code, k) => {
    if (code !== 0 || k === 0) return;
    const [from, to] = [k - 1, k].map((n) => ({ x: x[n] ?? 0, y: y[n] ?? 0 }));
    if (from && to) stitches.push({ from, to, length: Math.hypot(to.x - from.x, to.y - from.y) });
  });
  return stitches;
}

describe("worked figures", () => {
  test("running round a disc of radius 20 at 2.5 mm: 50 stitches of 2.51 mm, back at the start", () => {
    const stitches = stitchesOf(planOf({ motif: { kind: "disc", radius: 20 }, ...running() }));
    expect(stitches).toHaveLength(50);
    for (const { length } of stitches) expect(Math.abs(length - 2.51)).toBeLessThan(0.0251);
    const [first, last] = [stitches[0]?.from, stitches.at(-1)?.to];
    expect(Math.hypot((first?.x ?? 0) - (last?.x ?? 9), (first?.y ?? 0) - (last?.y ?? 9))).toBeLessThan(1e-6);
  });

  test("eight leaves that start and end in the ring's middle: one run, no jump, no trim", () => {
    const plan = planOf({
      motif: { kind: "leaf", length: 30, width: 10, bend: 0.3 },
      rules: [{ kind: "turn", count: 8 }],
      ...running(),
    });
    expect(toldOfStitches(plan)).toMatchObject({ jumps: 0, trims: 0, changes: 0 });
    expect([...plan.how].filter((code) => code === 1)).toHaveLength(1);
  });

  test("a rectangle 40 × 20 filled at 0.5: 40 rows, 1,600 mm of them, no jump", () => {
    const plan = planOf({ motif: { kind: "rectangle", width: 40, height: 20 }, ...filled() });
    const level = stitchesOf(plan).filter(({ from, to }) => Math.abs(from.y - to.y) < 1e-6 && to.x !== from.x);
    const rows = new Set(level.map(({ from }) => from.y.toFixed(4)));
    expect(rows.size).toBe(40);
    const thread = level.reduce((sum, { length }) => sum + length, 0);
    expect(Math.abs(thread - 1600)).toBeLessThan(16);
    expect(toldOfStitches(plan).jumps).toBe(0);
  });

  test("a ring filled at 0.5: as much thread in rows as area ÷ spacing, one run, none across the hole", () => {
    const plan = planOf({ motif: { kind: "ring", outer: 20, inner: 8 }, ...filled() });
    const stitches = stitchesOf(plan);
    const level = stitches.filter(({ from, to }) => Math.abs(from.y - to.y) < 1e-6);
    const thread = level.reduce((sum, { length }) => sum + length, 0);
    const wanted = (Math.PI * (20 * 20 - 8 * 8)) / 0.5;
    expect(Math.abs(thread - wanted)).toBeLessThan(0.01 * wanted);
    expect(toldOfStitches(plan)).toMatchObject({ jumps: 0, trims: 0 });
    for (const { from, to } of stitches) {
      for (const t of [0, 0.25, 0.5, 0.75, 1]) {
        const away = Math.hypot(from.x + (to.x - from.x) * t, from.y + (to.y - from.y) * t);
        expect(away).toBeGreaterThan(8 - 0.15);
        expect(away).toBeLessThan(20 + 0.15);
      }
    }
  });

  test("satin along 50 mm, 4 wide at 0.4: 125 needle points on each side", () => {
    const plan = planOf({
      motif: { kind: "line", length: 50 },
      stitch: { line: { kind: "satin", width: 4, spacing: 0.4 } },
    });
    const xs = [...plan.x];
    const ys = [...plan.y];
    const across = Math.max(...xs) - Math.min(...xs) > 10 ? ys : xs;
    const middle = (Math.max(...across) + Math.min(...across)) / 2;
    for (const side of [-1, 1]) {
      const count = across.filter((value) => Math.abs(value - middle - 2 * side) < 0.01).length;
      expect(Math.abs(count - 125)).toBeLessThanOrEqual(2);
    }
  });
});

describe("settings", () => {
  const disc = { kind: "disc", radius: 20 };
  const lengthOf = (plan: StitchPlan) => stitchesOf(plan).reduce((sum, { length }) => sum + length, 0);

  test("there and back is twice as much, each stitch three times thrice; both end where they should", () => {
    const line = { motif: { kind: "line", length: 40 } };
    const [once, twice, thrice] = [1, 2, 3].map((times) => planOf({ ...line, ...running({ times }) }));
    if (!once || !twice || !thrice) throw new Error("there are three");
    expect(lengthOf(twice)).toBeCloseTo(2 * lengthOf(once), 6);
    expect(lengthOf(thrice)).toBeCloseTo(3 * lengthOf(once), 6);
    const endOf = ({ x, y }: StitchPlan) => [x.at(-1), y.at(-1)];
    expect(endOf(twice)).toEqual([twice.x[0], twice.y[0]]);
    expect(endOf(thrice)).toEqual(endOf(once));
  });

  test("pull makes rows longer by so much on both sides", () => {
    const widest = (plan: StitchPlan) => Math.max(...plan.x) - Math.min(...plan.x);
    const [usual, pulled] = [0, 0.5].map((pull) => planOf({ motif: disc, ...filled({}, { pull }) }));
    if (!usual || !pulled) throw new Error("there are two");
    expect(widest(pulled) - widest(usual)).toBeCloseTo(1, 3);
  });

  test("what is sewn below stays 0.6 mm inside, and comes first", () => {
    for (const underlay of ["edge", "zigzag", "rows"]) {
      const [plain, plan] = [
        planOf({ motif: disc, ...filled() }),
        planOf({ motif: disc, ...filled({}, { underlay }) }),
      ];
      const added = plan.how.length - plain.how.length;
      expect(added).toBeGreaterThan(20);
      const away = Array.from({ length: Math.floor(added * 0.8) }, (_, k) =>
        Math.hypot(plan.x[k] ?? 0, plan.y[k] ?? 0),
      );
      expect(Math.max(...away)).toBeLessThan(20 - 0.6 + 0.01);
    }
  });

  test("an inset keeps rows from the edge", () => {
    const plan = planOf({ motif: disc, ...filled({ inset: 2 }) });
    expect(Math.max(...Array.from(plan.x, (x, k) => Math.hypot(x, plan.y[k] ?? 0)))).toBeLessThan(18.01);
  });

  test("rows bowed as waves leave the level by half their height", () => {
    const plan = planOf({
      motif: { kind: "rectangle", width: 60, height: 30 },
      ...filled({ length: 1, wave: { length: 12, height: 3 } }),
    });
    const middle = (Math.max(...plan.y) + Math.min(...plan.y)) / 2;
    const inside = stitchesOf(plan).filter(
      ({ from, to }) => Math.abs(from.y - middle) < 9 && Math.abs(from.x) < 25 && Math.abs(to.x - from.x) > 0.5,
    );
    const steepest = Math.max(...inside.map(({ from, to }) => Math.abs(to.y - from.y) / Math.abs(to.x - from.x)));
    // The slope of h/2 · sin(2πx ÷ λ) is at most πh ÷ λ.
    expect(steepest).toBeGreaterThan(0.6);
    expect(steepest).toBeLessThan(Math.PI / 4 + 0.05);
  });

  test("a band wider than the longest stitch is crossed in several", () => {
    const plan = planOf({ motif: { kind: "line", length: 30 }, stitch: { line: { kind: "satin", width: 16 } } });
    const lengths = stitchesOf(plan).map(({ length }) => length);
    expect(Math.max(...lengths)).toBeLessThan(7.001);
    expect(Math.max(...plan.x) - Math.min(...plan.x)).toBeGreaterThan(15.9);
  });

  test("what is sewn of each part is together what is told, though the needle moves between copies", () => {
    const dots = { motif: { kind: "disc", radius: 2 }, rules: [{ kind: "ring", count: 5, radius: 40 }] };
    const plan = planOf([
      { ...dots, ...running(), finish: { fill: "#C8442B" } },
      { ...dots, ...filled(), finish: { fill: "#1E6F5C" } },
    ]);
    const told = toldOfStitches(plan);
    expect(told.jumps + told.trims).toBeGreaterThan(5);
    const own = plan.spans.map(({ from, to }) => sewnBetween(plan, from, to));
    expect(own.reduce((sum, count) => sum + count, 0)).toBe(told.stitches);
    expect(told.stitches).toBe(plan.how.filter((code) => code === 0).length);
  });

  test("copies far apart come by a shorter way when asked", () => {
    const moved = (order: string) => {
      const plan = planOf({
        motif: { kind: "disc", radius: 2 },
        rules: [
          { kind: "step", count: 12, turn: 0, move: { x: 0, y: 0 } },
          { kind: "vary", moveX: "15 * mod(5 * i, 12)" },
        ],
        stitch: { line: { kind: "running" }, order },
      });
      return Array.from(plan.how.keys()).reduce((sum, k) => {
        if (k === 0 || plan.how[k] === 0) return sum;
        return sum + Math.abs((plan.x[k] ?? 0) - (plan.x[k - 1] ?? 0));
      }, 0);
    };
    expect(moved("nearest")).toBeLessThan(0.5 * moved("rules"));
  });

  test("a thread of its own is what the part is sewn with", () => {
    const plan = planOf({ motif: disc, finish: { fill: "#1E6F5C" }, stitch: { fill: {}, thread: "#C8442B" } });
    expect(plan.threads).toEqual([{ color: "#C8442B" }]);
  });

  test("what is not sewn, hidden or a tool leaves nothing", () => {
    const one = { motif: disc, finish: { fill: "#1E6F5C" } };
    for (const more of [{ stitch: "none" }, { visible: false }, { role: "tool" }, { role: "guide" }]) {
      expect(planOf({ ...one, ...more }).how).toHaveLength(0);
    }
  });
});
