import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { checkCut, planCut, type CutPlan, type Path, type Point } from "../src";
import { Leads } from "../src/cut/leads";
import { pointAt } from "../src/geometry/cubic";
import { areaOfPath, segmentsOf } from "../src/geometry/path";
import { begunAt } from "../src/geometry/stretchOf";
import { measurePath } from "../src/geometry/pathLength";
import { buildScene } from "../src/scene/sceneBuilder";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const planOf = (parts: readonly object[], cut: object): CutPlan =>
  planCut(buildScene(designWith({ parts, making: { cut } })));
const disc = (id: string, radius: number, more: object = {}) => ({ id, motif: { kind: "disc", radius }, ...more });
const entriesOf = (plan: CutPlan) => checkCut(plan).find(({ kind }) => kind === "entries");

describe("the way into a cut", () => {
  test("is shorter in a hole too small for it, and told with its place", () => {
    const plan = planOf([disc("plate", 30), disc("hole", 0.5)], { kerf: 0, leadIn: 3 });
    expect(entriesOf(plan)).toMatchObject({ state: "passed", figures: { none: 0, shorter: 1, leadIn: 3 } });
    const [hole] = plan.strokes;
    for (const point of pointsOf(hole?.runs ?? [])) expect(Math.hypot(point.x, point.y)).toBeLessThan(0.501);
  });

  test("is none between pieces that lie too near to each other, and told", () => {
    const grid = [{ kind: "grid", columns: 5, rows: 5, pitch: 10.02 }];
    const square = { id: "square", motif: { kind: "rectangle", width: 10, height: 10 }, rules: grid };
    const found = entriesOf(planOf([square], { kerf: 0, leadIn: 3 }));
    expect(found?.state).toBe("doubtful");
    expect(found?.figures["none"]).toBeGreaterThan(0);
    expect(found?.places.length).toBe((found?.figures["none"] ?? 0) + (found?.figures["shorter"] ?? 0));
  });

  test("is told of nobody where none is asked for", () => {
    expect(entriesOf(planOf([disc("a", 5)], { kerf: 0.2 }))).toMatchObject({ state: "passed", figures: { none: 0 } });
  });

  test("lies in waste, whatever crosses, touches or lies in what; where it has room it is whole", () => {
    const radius = fc.constantFrom(3, 4, 6, 9);
    const motif = fc.oneof(
      fc.record({ kind: fc.constant("disc"), radius }),
      fc.record({ kind: fc.constant("rectangle"), width: radius, height: fc.constantFrom(4, 10) }),
      fc.record({ kind: fc.constant("petal"), length: fc.constantFrom(12, 24), width: radius }),
    );
    const rules = fc.oneof(
      fc.constant<object[]>([]),
      fc.tuple(fc.integer({ min: 3, max: 14 }), radius).map(([count, size]) => [{ kind: "ring", count, radius: size }]),
      fc.integer({ min: 3, max: 14 }).map((pitch) => [{ kind: "grid", columns: 3, rows: 3, pitch }]),
    );
    const part = fc.record({ motif, rules });
    const length = fc.constantFrom(0.5, 2, 5);
    fc.assert(
      fc.property(
        fc.array(part, { minLength: 1, maxLength: 3 }),
        length,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (parts, long, share) => {
          const { loops } = planOf(
            parts.map((one, index) => ({ id: `p${index}`, ...one })),
            { kerf: 0.2 },
          );
          const drawn = loops.map(({ kerfed, level }) => ({ chords: pointsOf(kerfed, 64), level }));
          const leads = new Leads(loops, long);
          for (const { kerfed, level } of loops) {
            for (const outline of kerfed) {
              const run = begunAt(outline, share * measurePath(outline).length);
              const side = areaOfPath([run]) > 0 === (level % 2 === 0) ? 1 : -1;
              const told = [leads.none.length, leads.shorter.length];
              const way = leads.into(run, side);
              const places = way.flatMap((segment) => Array.from({ length: 20 }, (_, k) => pointAt(segment, k / 21)));
              // What lies within a hair of an edge may count as either.
              for (const place of places) expect(isKept(place, drawn, 0.01)).toBe(false);
              const walked = lengthOf(places);
              if (leads.none.length > (told[0] ?? 0)) expect(way).toEqual([]);
              else if (leads.shorter.length > (told[1] ?? 0)) expect(walked).toBeLessThan(0.6 * long);
              else expect(Math.abs(walked / long - 1)).toBeLessThan(0.06);
            }
          }
        },
      ),
      { numRuns: members(8) },
    );
  });
});

interface Drawn {
  readonly chords: readonly Point[];
  readonly level: number;
}

function pointsOf(runs: Path, each = 16): Point[] {
  return runs.flatMap((run) =>
    segmentsOf(run).flatMap((segment) => Array.from({ length: each }, (_, k) => pointAt(segment, k / each))),
  );
}

function lengthOf(places: readonly Point[]): number {
  return places
    .slice(1)
    .reduce((sum, { x, y }, k) => sum + Math.hypot(x - (places[k]?.x ?? 0), y - (places[k]?.y ?? 0)), 0);
}

/** Whether a place and all within a hair of it are kept: in a piece, and in no hole of one. By the angle outlines turn around it. */
function isKept({ x, y }: Point, drawn: readonly Drawn[], hair: number): boolean {
  return [
    [hair, 0],
    [-hair, 0],
    [0, hair],
    [0, -hair],
  ].every(([dx = 0, dy = 0]) => {
    const around = drawn.filter(({ chords }) => Math.abs(turnAround(chords, x + dx, y + dy)) > Math.PI);
    return around.length > 0 && Math.max(...around.map(({ level }) => level)) % 2 === 0;
  });
}

function turnAround(chords: readonly Point[], x: number, y: number): number {
  return chords.reduce((sum, a, k) => {
    const b = chords[(k + 1) % chords.length] ?? a;
    const [ax, ay, bx, by] = [a.x - x, a.y - y, b.x - x, b.y - y];
    return sum + Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
  }, 0);
}
