import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import type { PartScene } from "../src";
import { combine } from "../src/geometry/boolean/boolean";
import { componentsOf } from "../src/geometry/components";
import { circleSegments } from "../src/geometry/arc";
import { subpathOf, type Path } from "../src/geometry/path";
import { areaOf, grown, stroked, united, type Band } from "./grownPolygons";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { outlinesOf, partOf } from "./scenes";
import { partDesign } from "./testDesign";

beforeAll(withGeometryEngine);

interface Weave {
  readonly motif: object;
  readonly rules: readonly object[];
  /** Null where the copies are bands by themselves. */
  readonly line: Band | null;
  readonly gap: number;
}

const common = (...areas: readonly Path[]) => areaOf(combine(areas, "intersection"));

/** Each copy's band as it was, and what the weave left of it. */
function bandsOf({ motif, rules, line, gap }: Weave): { whole: Path[]; woven: Path[]; tips: Path; part: PartScene } {
  const finish = { fill: line ? null : "#1E6F5C", line };
  const part = partOf(partDesign(motif, [...rules], { finish, join: { mode: "weave", gap } }));
  const outlines = outlinesOf(partOf(partDesign(motif, [...rules], { finish })));
  return {
    part,
    tips: tipsOf(outlines, line),
    whole: outlines.map((path) => (line ? stroked(path, line) : united(path))),
    woven: part.geometry.shapes.map(({ path, pieces }) => united(pieces?.flatMap((piece) => piece.path) ?? path)),
  };
}

/** Where the runs of copies end, with a band's half width around: bands are joined there. */
function tipsOf(outlines: readonly Path[], line: Band | null): Path {
  return outlines.flat().flatMap(({ closed, coordinates }) => {
    if (closed || !line) return [];
    const tips = [coordinates.slice(0, 2), coordinates.slice(-2)];
    return tips.map(([x = 0, y = 0]) => subpathOf(circleSegments(line.width, { x, y }), true));
  });
}

/** The pairs of copies whose bands have more than a touch in common, and where. */
function lyingOver(whole: readonly Path[]): { a: number; b: number; regions: Path }[] {
  return whole.flatMap((one, a) =>
    whole.slice(a + 1).flatMap((two, k) => {
      const regions = componentsOf(combine([one, two], "intersection")).filter((region) => areaOf(region) > 0.002);
      return regions.length > 0 ? [{ a, b: a + 1 + k, regions: regions.flat() }] : [];
    }),
  );
}

/** What of two woven bands is nearer to each other than the gap, about the places where they lay over each other, mm². */
function tooNear({ whole, woven, tips }: ReturnType<typeof bandsOf>, gap: number): number {
  return Math.max(
    0,
    ...lyingOver(whole).map(({ a, b, regions }) => {
      const [one = [], two = []] = [woven[a], woven[b]];
      const about = grown(combine([regions, tips], "difference"), gap, "round", "Polygon");
      return common(grown(one, gap - 0.01, "round", "Polygon"), combine([two, tips], "difference"), about);
    }),
  );
}

/** With no gap every place of the bands is covered, and by one of them. */
function expectCoveredOnce(weave: Weave): void {
  const { whole, woven } = bandsOf({ ...weave, gap: 0 });
  const all = areaOf(combine(whole, "union"));
  expect(areaOf(combine(woven, "union")) / all).toBeCloseTo(1, 3);
  expect(woven.reduce((sum, path) => sum + areaOf(path), 0) / all).toBeCloseTo(1, 3);
}

const band = (width: number, cap: Band["cap"] = "butt", join: Band["join"] = "miter"): Band => ({ width, cap, join });
const step = (x: number) => [{ kind: "step", count: 2, move: { x, y: 0 } }];
const disc = (radius: number) => ({ kind: "disc", radius });

describe("bands that lie over each other are apart by the gap", () => {
  test.each<[string, Weave, number]>([
    ["discs that cross steeply", { motif: disc(20), rules: step(20), line: band(2), gap: 0.4 }, 2],
    ["discs that cross flatly", { motif: disc(20), rules: step(36), line: band(3), gap: 0.3 }, 2],
    [
      "discs whose bands overlap though their lines do not cross",
      { motif: disc(20), rules: step(40.5), line: band(1), gap: 0.3 },
      1,
    ],
    ["discs whose lines touch", { motif: disc(20), rules: step(40), line: band(1), gap: 0.3 }, 1],
    [
      "ellipses turned by little",
      {
        motif: { kind: "ellipse", rx: 25, ry: 10 },
        rules: [{ kind: "turn", count: 2, angle: 2 }],
        line: band(0.1),
        gap: 0.05,
      },
      4,
    ],
    [
      "three lines through one point",
      {
        motif: { kind: "line", length: 60 },
        rules: [{ kind: "turn", count: 3, angle: 60, pivot: { x: 0, y: -30 } }],
        line: band(3),
        gap: 0.5,
      },
      3,
    ],
  ])("%s", (_, weave, crossings) => {
    const bands = bandsOf(weave);
    expect(bands.part.geometry.crossings).toHaveLength(crossings);
    expect(lyingOver(bands.whole).length).toBeGreaterThan(0);
    expect(tooNear(bands, weave.gap)).toBeLessThan(1e-3);
  });

  test.each<[string, Weave]>([
    [
      "discs of a hexagonal grid, three through one point",
      {
        motif: disc(12),
        rules: [{ kind: "grid", lattice: "hex", columns: 3, rows: 2, pitch: { x: 12, y: 12 } }],
        line: band(2),
        gap: 0.3,
      },
    ],
    [
      "filled rings, five on a ring",
      {
        motif: { kind: "ring", outer: 20, inner: 16 },
        rules: [{ kind: "ring", count: 5, radius: 15 }],
        line: null,
        gap: 0.2,
      },
    ],
  ])("%s: apart, and with no gap nothing is uncovered", (_, weave) => {
    expect(tooNear(bandsOf(weave), weave.gap)).toBeLessThan(1e-3);
    expectCoveredOnce(weave);
  });
});

describe("bands that lie along each other, or meet twice near by", () => {
  const grid = (columns: number, rows: number, x: number, y: number) => [
    { kind: "grid", columns, rows, pitch: { x, y } },
  ];
  const star = (points: number, outer: number, inner: number) => ({ kind: "star", points, outer, inner });
  test.each<[string, Weave]>([
    [
      "petals whose sharp tips lie in each other",
      {
        motif: { kind: "petal", length: 27, width: 20 },
        rules: grid(1, 2, 22, 12),
        line: band(4, "butt", "round"),
        gap: 0.5,
      },
    ],
    [
      "stars in a row",
      { motif: star(5, 26, 9), rules: grid(3, 1, 23, 23), line: band(0.94, "butt", "round"), gap: 0.1 },
    ],
    ["wide stars", { motif: star(7, 22, 6), rules: grid(2, 1, 24, 21), line: band(4, "butt", "round"), gap: 0.4 }],
    ["stars 8 apart", { motif: star(7, 14, 6), rules: grid(2, 1, 8, 8), line: band(2, "butt", "round"), gap: 0.1 }],
    [
      "squares that go along each other",
      {
        motif: { kind: "polygon", sides: 4, radius: 14 },
        rules: [{ kind: "turn", count: 3, angle: 33 }],
        line: band(2.5),
        gap: 0.1,
      },
    ],
    [
      "petals all over each other",
      {
        motif: { kind: "petal", length: 15, width: 15 },
        rules: [{ kind: "turn", count: 2, angle: 14 }],
        line: band(4, "butt", "round"),
        gap: 0.2,
      },
    ],
  ])("%s: apart by the gap; with none every place is covered, and once", (_, weave) => {
    expect(tooNear(bandsOf(weave), weave.gap)).toBeLessThan(0.005);
    expectCoveredOnce(weave);
  });
});

describe("random weaves", () => {
  const whole = (min: number, max: number) => fc.integer({ min, max });
  const kind = <K extends string>(name: K) => fc.constant(name);
  const motif = fc.oneof(
    fc.record({ kind: kind("disc"), radius: whole(8, 22) }),
    fc.record({ kind: kind("ellipse"), rx: whole(8, 25), ry: whole(5, 12) }),
    fc.record({ kind: kind("polygon"), sides: whole(3, 8), radius: whole(10, 25) }),
    fc.record({ kind: kind("star"), points: whole(3, 7), outer: whole(14, 26), inner: whole(6, 12) }),
    fc.record({ kind: kind("petal"), length: whole(15, 40), width: whole(6, 20) }),
    fc.record({ kind: kind("line"), length: whole(20, 60) }),
    fc.record({ kind: kind("wave"), length: whole(30, 80), height: whole(5, 14), waves: whole(2, 4) }),
  );
  const rule = fc.oneof(
    fc.record({ kind: kind("ring"), count: whole(3, 7), radius: whole(6, 20) }),
    fc.record({ kind: kind("turn"), count: whole(2, 5), angle: whole(10, 90) }),
    fc.record({ kind: kind("step"), count: whole(2, 4), move: fc.record({ x: whole(3, 25), y: whole(0, 12) }) }),
    fc.record({
      kind: kind("grid"),
      columns: whole(2, 3),
      rows: whole(1, 3),
      pitch: fc.record({ x: whole(8, 25), y: whole(8, 25) }),
    }),
  );
  const line = fc.record({
    width: fc.double({ min: 0.3, max: 4, noNaN: true }),
    cap: fc.constantFrom("butt" as const, "round" as const, "square" as const),
    join: fc.constantFrom("miter" as const, "round" as const),
  });
  const random = fc.record({
    motif,
    rules: fc.tuple(rule),
    line: fc.option(line, { freq: 4 }),
    gap: fc.double({ min: 0.1, max: 0.8, noNaN: true }),
  });

  // Of tips too sharp for a mitre the yardstick leaves more than a line's bevel does, and it mitres the chords of tight bends.
  const weave = random.map((own) =>
    own.line && ["star", "petal", "wave"].includes(own.motif.kind)
      ? { ...own, line: { ...own.line, join: "round" as const } }
      : own,
  );
  const isBand = ({ motif: { kind }, line: own }: { motif: { kind: string }; line: object | null }) =>
    own !== null || (kind !== "line" && kind !== "wave");

  test("what lies under keeps off by the gap", () => {
    fc.assert(
      fc.property(weave, (own) => {
        fc.pre(isBand(own));
        expect(tooNear(bandsOf(own), own.gap)).toBeLessThan(0.005);
      }),
      { numRuns: members(4) },
    );
  });

  test("with no gap every place of a band is covered, and once", () => {
    fc.assert(
      fc.property(weave, (own) => {
        fc.pre(isBand(own));
        const { whole: before, woven, tips } = bandsOf({ ...own, gap: 0 });
        const shown = combine(woven, "union");
        expect(areaOf(combine([before.flat(), grown(shown, 0.01, "round", "Polygon")], "difference"))).toBeLessThan(
          1e-3,
        );
        const once = woven.map((path) => areaOf(combine([path, tips], "difference")));
        expect(once.reduce((sum, area) => sum + area, 0) / areaOf(combine([shown, tips], "difference"))).toBeCloseTo(
          1,
          3,
        );
      }),
      { numRuns: members(4) },
    );
  });
});
