import { beforeAll, describe, expect, test } from "@jest/globals";
import { areaOfPath } from "../src/geometry/path";
import { combine } from "../src/geometry/boolean/boolean";
import { alternate, visitsOf, type Passing } from "../src/join/weave/alternate";
import { meetingsOf } from "../src/join/weave/meetings";
import { strandsOf } from "../src/join/weave/strands";
import type { PartScene } from "../src";
import { withGeometryEngine } from "./prepared";
import { partDesign } from "./testDesign";
import { partOf } from "./scenes";

beforeAll(withGeometryEngine);

const woven = (motif: object, rules: object[], finish: object, join: object = {}): PartScene =>
  partOf(partDesign(motif, rules, { finish, join: { mode: "weave", ...join } }));
const thread = { fill: null, line: { width: 2, cap: "butt" } };
const areaOf = ({ geometry }: PartScene, copy: number) => {
  const { path = [], pieces } = geometry.shapes[copy] ?? {};
  return areaOfPath(combine([pieces?.flatMap((piece) => piece.path) ?? path], "union"));
};

const ENDS = { cap: "butt", join: "miter", swell: [] } as const;

/** Along every strand the ways through its crossings, as over (true) or under. */
function waysThrough(passings: readonly Passing[], over: readonly (0 | 1)[]): boolean[][] {
  return [...visitsOf(passings).values()].map((visits) => visits.map(({ crossing, side }) => over[crossing] === side));
}

function inTurn(ways: readonly boolean[], closed: boolean): boolean {
  return ways.every((way, index) =>
    index === 0 ? !closed || ways.length < 3 || way !== ways.at(-1) : way !== ways[index - 1],
  );
}

describe("over and under in turn along every strand", () => {
  const cases: [string, object, object[], number][] = [
    [
      "a lattice of lines",
      { kind: "line", length: 60 },
      [
        { kind: "grid", columns: 5, rows: 1, pitch: { x: 8, y: 8 } },
        { kind: "turn", count: 2, angle: 90 },
      ],
      0,
    ],
    ["circles in a ring", { kind: "disc", radius: 20 }, [{ kind: "ring", count: 8, radius: 24 }], 0],
    ["petals about their foot", { kind: "disc", radius: 18 }, [{ kind: "ring", count: 5, radius: 15, face: "out" }], 0],
    [
      "a wave and its mirror image",
      { kind: "wave", length: 80, height: 14, waves: 4 },
      [{ kind: "reflect", through: { x: 1, y: 0 } }],
      0,
    ],
  ];
  test.each(cases)("%s", (_, motif, rules) => {
    const { geometry } = partOf(partDesign(motif, rules));
    const strands = strandsOf(geometry, { width: 1, swell: [], widths: "copies" });
    const crossings = meetingsOf(strands, ENDS, 0.4);
    expect(crossings.length).toBeGreaterThan(3);
    const { over, failing } = alternate(crossings, (strand) => strands[strand]?.run.closed ?? false);
    expect(failing.size).toBe(0);
    const visits = [...visitsOf(crossings).keys()];
    waysThrough(crossings, over).forEach((ways, index) => {
      expect(inTurn(ways, strands[visits[index] ?? 0]?.run.closed ?? false)).toBe(true);
    });
  });

  test("how often circles cross: two circles twice, eight in a ring with two neighbours on each side", () => {
    const count = (rules: object[]) =>
      meetingsOf(
        strandsOf(partOf(partDesign({ kind: "disc", radius: 20 }, rules)).geometry, {
          width: 1,
          swell: [],
          widths: "copies",
        }),
        ENDS,
        0.4,
      ).length;
    expect(count([{ kind: "step", count: 2, move: { x: 20, y: 0 } }])).toBe(2);
    // The middles of next but one circles are 33.9 apart, less than two radii; of third neighbours 44.3, more.
    expect(count([{ kind: "ring", count: 8, radius: 24 }])).toBe(2 * 8 * 2);
  });

  test("a closed line that crosses itself", () => {
    const eight = {
      kind: "drawn",
      paths: [
        {
          closed: true,
          nodes: [
            { x: 0, y: -20 },
            { x: 20, y: 20 },
            { x: -22, y: -6 },
            { x: 22, y: -6 },
            { x: -20, y: 20 },
          ],
        },
      ],
    };
    const part = woven(eight, [], thread);
    expect(part.geometry.crossings).toHaveLength(5);
    expect(part.geometry.crossings?.some(({ fails }) => fails)).toBe(false);
  });

  test("three strands that cross in a triangle of which two agree by nothing: the crossing that fails is told", () => {
    // Strand 0 meets 1 then 2, strand 1 meets 2 then 0, strand 2 meets 1 then 0, and 0 again meets 1 first: an odd round.
    const passings: Passing[] = [
      { strands: [0, 1], along: [1, 2] },
      { strands: [0, 2], along: [2, 2] },
      { strands: [1, 2], along: [1, 1] },
      { strands: [0, 1], along: [3, 3] },
    ];
    const { over, failing } = alternate(passings, () => true);
    const broken = waysThrough(passings, over).some((ways) => !inTurn(ways, true));
    expect(failing.size > 0).toBe(broken);
    expect(failing.size).toBeGreaterThan(0);
  });
});

describe("what lies under is cut", () => {
  const cross = [{ kind: "turn", count: 2, angle: 90, pivot: { x: 0, y: -20 } }];

  test("two bands that cross at right angles: the lower one lacks the band and a gap to either side", () => {
    const part = woven({ kind: "line", length: 40 }, cross, thread, { gap: 0.5 });
    const areas = [areaOf(part, 0), areaOf(part, 1)].sort((a, b) => a - b);
    expect(areas[1]).toBeCloseTo(80, 2);
    expect(areas[0]).toBeCloseTo(80 - 2 * 3, 2);
  });

  test("a crossing flipped by hand swaps them, and stays flipped when the length changes", () => {
    const part = woven({ kind: "line", length: 40 }, cross, thread, { gap: 0.5 });
    const key = part.geometry.crossings?.[0]?.key ?? "";
    const lower = (scene: PartScene) => (areaOf(scene, 0) < areaOf(scene, 1) ? 0 : 1);
    const turned = woven({ kind: "line", length: 40 }, cross, thread, { gap: 0.5, flipped: [key] });
    expect(lower(turned)).not.toBe(lower(part));
    const longer = woven({ kind: "line", length: 50 }, cross, thread, { gap: 0.5, flipped: [key] });
    expect(lower(longer)).toBe(lower(turned));
  });

  test("filled rings are bands by themselves: each crossing takes the overlap from one of them", () => {
    const rules = [{ kind: "step", count: 2, move: { x: 20, y: 0 } }];
    const fill = { fill: "#1E6F5C", line: null };
    const apart = partOf(partDesign({ kind: "ring", outer: 20, inner: 16 }, rules));
    const one = Math.PI * (400 - 256);
    const union = areaOfPath(combine([apart.geometry.shapes[0]?.path ?? [], shifted(apart, 20)], "union"));
    const part = woven({ kind: "ring", outer: 20, inner: 16 }, rules, fill, { gap: 0 });
    expect(part.geometry.crossings).toHaveLength(2);
    expect(areaOf(part, 0) + areaOf(part, 1)).toBeCloseTo(union, 0);
    // One goes over at the one place and under at the other: both lose as much.
    expect(areaOf(part, 0)).toBeCloseTo(areaOf(part, 1), 0);
    expect(areaOf(part, 0)).toBeLessThan(one - 5);
  });

  test("strands that end on each other stay joined", () => {
    const half = { kind: "arc", radius: 20, from: -90, to: 90 };
    const line = { width: 3, cap: "round" };
    const part = woven(half, [{ kind: "turn", count: 2, angle: 180, pivot: { x: 0, y: 0 } }], { fill: null, line });
    expect(part.geometry.crossings).toEqual([]);
    expect(areaOf(part, 0)).toBeCloseTo(3 * Math.PI * 20 + Math.PI * 1.5 ** 2, 1);
  });

  test("a motif’s own colours are left behind, and it is told", () => {
    const source = { width: 10, height: 10, shapes: [{ d: "M-5 -5L5 -5L5 5L-5 5Z", fill: "#AA0000" }] };
    const part = woven({ kind: "svg", source }, [{ kind: "step", count: 2, move: { x: 4, y: 4 } }], {
      fill: "#1E6F5C",
    });
    expect(part.geometry.notes.join()).toContain("the motif’s own colours show only while they are apart");
    expect(part.geometry.shapes.every(({ pieces }) => pieces === null)).toBe(true);
  });

  test("without a line or a fill it says what it needs", () => {
    const part = woven({ kind: "line", length: 40 }, cross, { fill: null, line: null });
    expect(part.geometry.notes.join()).toContain("a weave needs bands");
  });
});

function shifted({ geometry }: PartScene, by: number) {
  return (geometry.shapes[0]?.path ?? []).map(({ closed, coordinates }) => ({
    closed,
    coordinates: coordinates.map((value, index) => (index % 2 === 0 ? value + by : value)),
  }));
}
