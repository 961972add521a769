import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  bridgesForIslands,
  checkCut,
  planCut,
  shortestWay,
  travelOf,
  type CutChecked,
  type CutPlan,
  type Errand,
} from "../src";
import { nearestFirst } from "../src/errands/nearestFirst";
import { randomFrom } from "../src/geometry/random";
import { areaOfPath, boxOfPath, segmentsOf, subpathOf } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { buildScene } from "../src/scene/sceneBuilder";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { designWith } from "./testDesign";

beforeAll(withGeometryEngine);

const planOf = (parts: readonly object[], cut: object = {}): CutPlan =>
  planCut(buildScene(designWith({ parts, making: { cut } })));

const plate = (radius: number, more: object = {}) => ({ id: "plate", motif: { kind: "disc", radius }, ...more });
const holes = (count: number, radius: number, ring: number, more: object = {}) => ({
  ...{ id: "holes", motif: { kind: "disc", radius }, rules: ring > 0 ? [{ kind: "ring", count, radius: ring }] : [] },
  ...more,
});
const square = (side: number, more: object = {}) => ({
  ...{ id: "square", motif: { kind: "rectangle", width: side, height: side } },
  ...more,
});

const checkedAs = (plan: CutPlan, kind: CutChecked["kind"]) => {
  const found = checkCut(plan).find((check) => check.kind === kind);
  if (!found) throw new Error(`no check ${kind}`);
  return found;
};

describe("what a cutter does", () => {
  test("a disc of radius 70 less 23 holes of radius 5, kerf 0.2: sizes, length, holes before the edge", () => {
    const { strokes, length, loops } = planOf([plate(70), holes(23, 5, 50)], { kerf: 0.2 });
    const radii = strokes.map(({ runs }) => {
      const { left, right } = boxOfPath(runs);
      return (right - left) / 2;
    });
    expect(radii.at(-1)).toBeCloseTo(70.1, 3);
    for (const radius of radii.slice(0, -1)) expect(radius).toBeCloseTo(4.9, 3);
    const exact = 2 * Math.PI * (70.1 + 23 * 4.9);
    expect(Math.abs(length - exact)).toBeLessThan(1e-4 * exact);
    expect(loops.filter(({ level }) => level === 1)).toHaveLength(23);
  });

  test("6 × 6 touching squares: each line is cut once", () => {
    const rules = [{ kind: "grid", columns: 6, rows: 6, pitch: 10 }];
    const { length, doubled } = planOf([square(10, { rules })], { kerf: 0 });
    expect(length).toBeCloseTo(2 * 7 * 6 * 10, 6);
    expect(doubled).toBeCloseTo(36 * 40 - 2 * 7 * 6 * 10, 6);
  });

  test("engraving, scoring and drawing come before cutting, what lies inside before what lies around it", () => {
    const parts = [
      plate(40),
      holes(6, 4, 25),
      { id: "score", motif: { kind: "line", length: 20 }, cut: { as: "score" } },
      { id: "hatch", motif: { kind: "disc", radius: 5 }, cut: { as: "engrave", hatch: { spacing: 0.5 } } },
      { id: "draw", motif: { kind: "disc", radius: 8 }, cut: { as: "draw" } },
      { id: "left", motif: { kind: "disc", radius: 9 }, cut: "none" },
    ];
    const { strokes } = planOf(parts);
    const ways = strokes.map(({ as }) => as);
    expect([...new Set(ways)]).toEqual(["engrave", "score", "draw", "cut"]);
    expect(strokes.some(({ part }) => part === "left")).toBe(false);
    expect(strokes.at(-1)?.part).toBe("plate");
    // Rows half a millimetre apart over a disc: their length is its area by the distance of rows.
    const rows = strokes.filter(({ as }) => as === "engrave").flatMap(({ runs }) => runs);
    const laid = rows.reduce((sum, run) => sum + measurePath(run).length, 0);
    expect(Math.abs(laid - (25 * Math.PI) / 0.5)).toBeLessThan(2);
  });

  test("whatever lies in what: nothing is cut before all that lies inside it, and every outline once", () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const ring = fc.record({ radius: whole(6, 60), x: whole(-60, 60), y: whole(-60, 60) });
    fc.assert(
      fc.property(fc.uniqueArray(ring, { minLength: 1, maxLength: 12, selector: JSON.stringify }), (rings) => {
        const discs = rings.map(({ radius, x, y }, index) => ({
          id: `d${index}`,
          motif: { kind: "disc", radius, at: { x, y } },
        }));
        const { strokes, length } = planOf(discs, { kerf: 0 });
        expect(strokes).toHaveLength(rings.length);
        const exact = rings.reduce((sum, { radius }) => sum + 2 * Math.PI * radius, 0);
        expect(Math.abs(length - exact)).toBeLessThan(1e-4 * exact);
        const turn = new Map(strokes.map(({ part }, index) => [part, index]));
        rings.forEach((outer, o) =>
          rings.forEach((inner, i) => {
            const apart = Math.hypot(outer.x - inner.x, outer.y - inner.y);
            if (o === i || apart + inner.radius > outer.radius - 0.1) return;
            expect(turn.get(`d${i}`) ?? NaN).toBeLessThan(turn.get(`d${o}`) ?? NaN);
          }),
        );
      }),
      { numRuns: members(22) },
    );
  });

  test("bridges leave exactly their width, at the straightest places and where they are set by hand", () => {
    const { bottom } = boxOfPath(planOf([square(40)]).loops.map(({ run }) => run));
    const bridges = { count: 4, width: 2, at: [{ x: 12, y: bottom }] };
    const { strokes, length } = planOf([square(40, { cut: { bridges } })], { kerf: 0 });
    expect(length).toBeCloseTo(160 - 5 * 2, 6);
    const runs = strokes.flatMap((stroke) => stroke.runs);
    expect(runs).toHaveLength(5);
    const gaps = runs.map((run, index) => {
      const [end] = segmentsOf(run).slice(-1);
      const [start] = segmentsOf(runs[(index + 1) % runs.length] ?? run);
      return Math.hypot((start?.[0].x ?? 0) - (end?.[3].x ?? 0), (start?.[0].y ?? 0) - (end?.[3].y ?? 0));
    });
    for (const gap of gaps) expect(gap).toBeCloseTo(2, 6);
    const byHand = runs.filter((run) =>
      segmentsOf(run).some(([start]) => Math.abs(start.y - bottom) < 1e-6 && Math.abs(start.x - 11) < 1e-3),
    );
    expect(byHand).toHaveLength(1);
  });

  test("bridges lie evenly: three on a circle a third of it apart; on any outline no stretch between is a tenth longer than even", () => {
    const round = planOf([plate(30, { cut: { bridges: { count: 3, width: 2 } } })], { kerf: 0 });
    for (const { runs } of round.strokes) {
      for (const run of runs) expect(measurePath(run).length).toBeCloseTo((2 * Math.PI * 30 - 3 * 2) / 3, 2);
    }
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const motif = fc.oneof(
      fc.record({ kind: fc.constant("rectangle"), width: whole(20, 90), height: whole(20, 90), corner: whole(0, 9) }),
      fc.record({ kind: fc.constant("star"), points: whole(3, 9), outer: whole(30, 60), inner: whole(12, 28) }),
      fc.record({ kind: fc.constant("petal"), length: whole(40, 90), width: whole(20, 60) }),
      fc.record({ kind: fc.constant("ellipse"), rx: whole(20, 60), ry: whole(20, 60) }),
      fc.record({ kind: fc.constant("polygon"), sides: whole(3, 9), radius: whole(20, 60) }),
    );
    fc.assert(
      fc.property(motif, whole(2, 9), (drawn, count) => {
        const { strokes } = planOf([{ id: "a", motif: drawn, cut: { bridges: { count, width: 1 } } }], { kerf: 0 });
        const lengths = strokes.flatMap(({ runs }) => runs.map((run) => measurePath(run).length));
        const around = lengths.reduce((sum, length) => sum + length, 0) + count;
        expect(lengths).toHaveLength(count);
        expect(Math.max(...lengths)).toBeLessThan(1.1 * (around / count));
      }),
      { numRuns: members(25) },
    );
  });

  test("a bridged outline keeps its lead-in, in waste: the head comes down nowhere on the edge of what is kept", () => {
    const bridges = { count: 3, width: 2 };
    const { strokes, length } = planOf([plate(30, { cut: { bridges } }), holes(1, 10, 0, { cut: { bridges } })], {
      kerf: 0,
      leadIn: 3,
    });
    const runs = strokes.flatMap((stroke) => stroke.runs.map((run) => ({ run, level: stroke.level })));
    expect(runs).toHaveLength(12);
    // Each stretch is cut from its middle both ways.
    expect(length).toBeCloseTo(2 * Math.PI * 40 - 2 * 3 * 2 + 12 * 3, 2);
    for (const { run, level } of runs) {
      const [first] = segmentsOf(run);
      const away = Math.hypot(first?.[0].x ?? 0, first?.[0].y ?? 0);
      if (level === 0) expect(away).toBeGreaterThan(31);
      else expect(away).toBeLessThan(9);
    }
  });

  test("lead-in comes by an arc of its length from the waste side, overcut goes on over the beginning", () => {
    const settings = { kerf: 0, leadIn: 3, overcut: 2 };
    const { strokes, length } = planOf([plate(30), holes(1, 10, 0)], settings);
    expect(length).toBeCloseTo(2 * Math.PI * 40 + 2 * (3 + 2), 2);
    for (const { runs, level } of strokes) {
      const [start] = segmentsOf(runs[0] ?? subpathOf([], false));
      const away = Math.hypot(start?.[0].x ?? 0, start?.[0].y ?? 0);
      if (level === 0) expect(away).toBeGreaterThan(30);
      else expect(away).toBeLessThan(10);
    }
  });
});

describe("the order", () => {
  const strewn = (count: number, seed: number): Errand[] => {
    const random = randomFrom(seed);
    const side = 20 * Math.sqrt(count);
    return Array.from({ length: count }, () => {
      const at = { x: random() * side, y: random() * side };
      return { from: at, to: at, reversible: true };
    });
  };

  test("the way through strewn places is much shorter than to the nearest each time, and the same every time", () => {
    const errands = strewn(300, 5);
    const start = { x: 0, y: 0 };
    const visits = shortestWay(errands, start);
    expect(new Set(visits.map(({ errand }) => errand)).size).toBe(300);
    const nearest = travelOf(errands, start, nearestFirst(errands, start));
    expect(travelOf(errands, start, visits) / nearest).toBeLessThan(0.9);
    expect(shortestWay(errands, start)).toEqual(visits);
  });

  test("every errand is done once, never longer than by nearest first, and never backwards where that is not allowed", () => {
    const end = fc.record({
      x: fc.double({ min: -50, max: 50, noNaN: true }),
      y: fc.double({ min: -50, max: 50, noNaN: true }),
    });
    const errand = fc.record({ from: end, to: end, reversible: fc.boolean() });
    fc.assert(
      fc.property(fc.array(errand, { minLength: 1, maxLength: 40 }), end, (errands, start) => {
        const visits = shortestWay(errands, start);
        expect([...visits.map((visit) => visit.errand)].sort((a, b) => a - b)).toEqual(
          errands.map((_, index) => index),
        );
        for (const visit of visits) if (visit.backwards) expect(errands[visit.errand]?.reversible).toBe(true);
        const nearest = travelOf(errands, start, nearestFirst(errands, start));
        expect(travelOf(errands, start, visits)).toBeLessThanOrEqual(nearest + 1e-6);
      }),
      { numRuns: members(22) },
    );
  });

  test("it can be ended at any time, with every errand in it", () => {
    const errands = strewn(200, 9);
    let heard = 0;
    const visits = shortestWay(errands, { x: 0, y: 0 }, () => ++heard < 3);
    expect(heard).toBe(3);
    expect(new Set(visits.map(({ errand }) => errand)).size).toBe(200);
  });
});

describe("checks", () => {
  test("an ornament beyond the frame fails, with how far", () => {
    const { state, figures } = checkedAs(planOf([plate(70)], { kerf: 0, frame: { width: 120, height: 200 } }), "fits");
    expect(state).toBe("failed");
    expect(figures.beyond).toBeCloseTo(10, 6);
    expect(checkedAs(planOf([plate(70)]), "fits").state).toBe("passed");
  });

  test("a disc in a hole is an island where pieces are kept, a hole's inside where the sheet is; bridges hold it", () => {
    const rings = [plate(30), { ...holes(1, 20, 0), id: "hole" }, { ...holes(1, 8, 0), id: "island" }];
    const plan = planOf(rings);
    const found = checkedAs(plan, "islands");
    expect([found.state, found.figures.count]).toEqual(["failed", 1]);
    const places = bridgesForIslands(plan);
    expect(places.filter(({ part }) => part === "island")).toHaveLength(2);
    const bridged = rings.map((part) => ({
      ...part,
      cut: { bridges: { at: places.filter((place) => place.part === part.id).map(({ at }) => at) } },
    }));
    expect(checkedAs(planOf(bridged), "islands").state).toBe("passed");
    expect(checkedAs(planOf(rings, { kept: "sheet" }), "islands").figures.count).toBe(1);
    expect(checkedAs(planOf([plate(30)], { kept: "sheet" }), "islands").state).toBe("passed");
  });

  test("cuts that go through a neighbouring piece are told with their places; pieces that touch or lie in each other do not", () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const disc = fc.record({ radius: whole(6, 40), x: whole(-40, 40), y: whole(-40, 40) });
    fc.assert(
      fc.property(fc.uniqueArray(disc, { minLength: 1, maxLength: 6, selector: JSON.stringify }), (discs) => {
        const plan = planOf(
          discs.map(({ radius, x, y }, index) => ({ id: `d${index}`, motif: { kind: "disc", radius, at: { x, y } } })),
          { kerf: 0 },
        );
        // Two circles cross twice where their middles lie between the difference and the sum of their radii apart.
        const exact: { x: number; y: number }[] = [];
        // Drawn circles are true to about 0.0003 of their radius: what crosses less deep may count as touching.
        const shallow: { x: number; y: number }[] = [];
        discs.forEach((a, i) =>
          discs.slice(0, i).forEach((b) => {
            const apart = Math.hypot(b.x - a.x, b.y - a.y);
            const depth = Math.min(a.radius + b.radius - apart, apart - Math.abs(a.radius - b.radius));
            if (depth < -0.05) return;
            if (depth < 0.05) {
              const out = apart > a.radius || a.radius > b.radius ? 1 : -1;
              shallow.push({
                x: a.x + (out * a.radius * (b.x - a.x)) / apart,
                y: a.y + (out * a.radius * (b.y - a.y)) / apart,
              });
              return;
            }
            const along = (apart ** 2 + a.radius ** 2 - b.radius ** 2) / (2 * apart);
            const off = Math.sqrt(a.radius ** 2 - along ** 2);
            for (const side of [-off, off]) {
              exact.push({
                x: a.x + (along * (b.x - a.x) - side * (b.y - a.y)) / apart,
                y: a.y + (along * (b.y - a.y) + side * (b.x - a.x)) / apart,
              });
            }
          }),
        );
        const found = checkedAs(plan, "crossing");
        const away = (point: { x: number; y: number }, places: readonly { x: number; y: number }[]) =>
          Math.min(...places.map((place) => Math.hypot(place.x - point.x, place.y - point.y)));
        for (const point of exact) expect(away(point, found.places)).toBeLessThan(0.06);
        for (const place of found.places)
          expect(Math.min(away(place, exact), away(place, shallow) - 2)).toBeLessThan(0.06);
      }),
      { numRuns: members(40) },
    );
  });

  test("circles that touch, from outside and from within, wherever round them, go not through each other", () => {
    const touching = (radius: number, other: number, angle: number) => {
      const apart = Math.abs(radius + other);
      const at = { x: apart * Math.cos(angle), y: apart * Math.sin(angle) };
      return planOf(
        [
          { id: "a", motif: { kind: "disc", radius } },
          { id: "b", motif: { kind: "disc", radius: Math.abs(other), at } },
        ],
        { kerf: 0 },
      );
    };
    const angles = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });
    const radius = fc.integer({ min: 3, max: 40 });
    fc.assert(
      fc.property(radius, radius, fc.constantFrom(1, -1), angles, (a, b, side, angle) => {
        fc.pre(side > 0 || b < a);
        expect(checkedAs(touching(a, side * b, angle), "crossing").places).toEqual([]);
      }),
      { numRuns: members(40) },
    );
  });

  test("webs narrower than a width are found where they are, sharp corners are none", () => {
    const neck = { id: "neck", motif: { kind: "rectangle", width: 30, height: 0.8 } };
    const joined = designWith({
      parts: [
        {
          id: "all",
          motif: {
            kind: "compound",
            of: [neck.motif, { kind: "disc", radius: 8, at: { x: 15 } }, { kind: "disc", radius: 8, at: { x: -15 } }],
          },
        },
      ],
    });
    const plan = planCut(buildScene(joined));
    const found = checkedAs(plan, "narrow");
    expect([found.state, found.figures.count]).toEqual(["doubtful", 1]);
    expect(Math.hypot(found.places[0]?.x ?? 9, found.places[0]?.y ?? 9)).toBeLessThan(0.5);
    const star = planOf([{ id: "star", motif: { kind: "star", points: 7, outer: 30, inner: 14 } }]);
    expect(checkedAs(star, "narrow").state).toBe("passed");
  });

  test("open lines, small pieces, and holes that the kerf closes are told with their places", () => {
    const line = { id: "line", motif: { kind: "line", length: 20 } };
    expect(checkedAs(planOf([line]), "open").figures.count).toBe(1);
    const tiny = checkedAs(planOf([plate(20), holes(3, 0.6, 10)]), "small");
    expect([tiny.state, tiny.figures.count, tiny.places.length]).toEqual(["doubtful", 3, 3]);
    const gone = checkedAs(planOf([plate(20), holes(3, 0.2, 10)], { kerf: 0.5 }), "small");
    expect([gone.state, gone.figures.vanished]).toEqual(["failed", 3]);
  });
});

test("kerf of a merged outline: its outer edge grows, its holes shrink, by half of it all round", () => {
  const petals = {
    id: "a",
    motif: { kind: "ring", outer: 12, inner: 6 },
    rules: [{ kind: "ring", count: 8, radius: 20 }],
    join: { mode: "merge" },
  };
  const plan = planOf([petals], { kerf: 0.3 });
  for (const { run, kerfed, level } of plan.loops) {
    const [before, around] = [Math.abs(areaOfPath([run])), measurePath(run).length];
    const after = kerfed.reduce((sum, own) => sum + Math.abs(areaOfPath([own])), 0);
    const grown = (level === 0 ? 1 : -1) * 0.15 * around;
    // To the first order; corners add less than a square of the distance each.
    expect(Math.abs(after - before - grown)).toBeLessThan(0.05 * Math.abs(grown));
  }
});
