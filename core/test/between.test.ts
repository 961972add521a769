import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { members } from "./randomMembers";
import { areaOfPath, boxOfPath } from "../src/geometry/path";
import { pathsBetween } from "../src/geometry/between";
import { colorAt } from "../src";
import { designWith, partDesign } from "./testDesign";
import { outlinesOf, partOf } from "./scenes";

const between = (more: object) => ({ kind: "between", ...more });
const disc = (radius: number, at: object = {}) => ({ kind: "disc", radius, at });
const areas = (motif: object, rule: object) =>
  outlinesOf(partOf(partDesign(motif, [rule]))).map((outline) => Math.abs(areaOfPath(outline)));

describe("between", () => {
  test("two discs: radii go over evenly, ends included or not", () => {
    const radii = (more: object) =>
      areas(disc(10), between({ to: disc(20), ...more })).map((area) => Math.sqrt(area / Math.PI));
    [10, 12.5, 15, 17.5, 20].forEach((radius, j) => expect(radii({ count: 5 })[j]).toBeCloseTo(radius, 4));
    const inner = radii({ count: 4, ends: false });
    [12, 14, 16, 18].forEach((radius, j) => expect(inner[j]).toBeCloseTo(radius, 4));
  });

  test("the second shape is another part, drawn by hand, as it stands, and follows it", () => {
    const nodes = [
      { x: 0, y: -10 },
      { x: 10, y: 10 },
      { x: -10, y: 10 },
    ];
    const lastBox = (x: number) => {
      const to = { kind: "part", part: "b", stands: "sheet" };
      const parts = [
        { id: "a", motif: disc(10), rules: [between({ to, count: 4 })], at: { x: -5, turn: 90 } },
        { id: "b", motif: { kind: "drawn", paths: [{ closed: true, nodes }] }, at: { x, y: 7 } },
      ];
      return boxOfPath(outlinesOf(partOf(designWith({ parts }))).at(-1) ?? []);
    };
    for (const x of [30, 42.5]) {
      const { left, top, right, bottom } = lastBox(x);
      [left, top, right, bottom].forEach((side, k) => expect(side).toBeCloseTo([x - 10, -3, x + 10, 17][k] ?? NaN, 9));
    }
  });

  test("ease crowds them towards one end, and keeps the ends", () => {
    const widths = (ease: number) =>
      outlinesOf(partOf(partDesign(disc(10), [between({ to: disc(20), count: 3, ease })]))).map(
        (outline) => boxOfPath(outline).right,
      );
    expect(widths(1)[1]).toBeCloseTo(10 + 10 * 0.5 ** 3, 6);
    expect(widths(-1)[1]).toBeCloseTo(20 - 10 * 0.5 ** 3, 6);
    expect(widths(0.4)[2]).toBeCloseTo(20, 9);
  });

  test("outlines with different numbers of nodes: the first and the last are the two themselves", () => {
    const star = { kind: "star", points: 7, outer: 30, inner: 12 };
    const square = { kind: "rectangle", width: 20, height: 20 };
    const [first, , last] = areas(star, between({ to: square, count: 3 }));
    expect(first).toBeCloseTo(7 * 30 * 12 * Math.sin(Math.PI / 7), 6);
    expect(last).toBeCloseTo(400, 6);
  });

  test("closed runs that go round opposite ways never turn inside out", () => {
    const round = [
      { closed: true, coordinates: [0, 0, 0, 0, 10, 0, 10, 0, 10, 0, 10, 10, 10, 10, 10, 10, 0, 0, 0, 0] },
    ];
    const other = [
      { closed: true, coordinates: [0, 0, 0, 0, 10, 10, 10, 10, 10, 10, 10, 0, 10, 0, 10, 0, 0, 0, 0, 0] },
    ];
    for (const t of [0, 0.3, 0.5, 0.8, 1])
      expect(Math.abs(areaOfPath(pathsBetween(round, other)(t)))).toBeCloseTo(50, 9);
  });

  test("open lines stay open; a line and an outline meet as a line; a run without a partner shrinks to a point", () => {
    const line = { kind: "line", length: 40 };
    const [, middle = []] = outlinesOf(
      partOf(partDesign(line, [between({ to: { ...line, at: { x: 30 } }, count: 3 })])),
    );
    expect(middle[0]?.closed).toBe(false);
    const { left, top, right, bottom } = boxOfPath(middle);
    [left, top, right, bottom].forEach((side, k) => expect(side).toBeCloseTo([15, -40, 15, 0][k] ?? NaN, 9));
    const [, mixed = []] = outlinesOf(partOf(partDesign(line, [between({ to: disc(10), count: 3 })])));
    expect(mixed[0]?.closed).toBe(false);
    const [whole] = areas({ kind: "ring", outer: 20, inner: 10 }, between({ to: disc(20), count: 2 }));
    const [, filled] = areas({ kind: "ring", outer: 20, inner: 10 }, between({ to: disc(20), count: 2 }));
    expect(whole).toBeCloseTo(300 * Math.PI, 2);
    expect(filled).toBeCloseTo(400 * Math.PI, 1);
  });

  test("paint goes over to that of the part it leads to", () => {
    const design = designWith({
      parts: [
        { id: "end", role: "tool", motif: disc(5), finish: { fill: "#FFFFFF" } },
        {
          id: "a",
          motif: disc(20),
          rules: [between({ to: { kind: "part", part: "end" }, count: 3 })],
          finish: { fill: "#000000" },
        },
      ],
    });
    const { finish, geometry } = partOf(design);
    if (!finish.fill) throw new Error("no fill");
    const colorOf = colorAt(finish.fill, geometry.placements);
    // The middle of black and white in OKLab has lightness ½, the grey #636363.
    expect([0, 1, 2].map(colorOf)).toEqual(["#000000", "#636363", "#FFFFFF"]);
  });
});

describe("shapes of one kind", () => {
  const whole = (min: number, max: number) => fc.integer({ min, max });
  /** Numbers of two of a kind: of the first, and of the second. */
  const two = <T>(numbers: fc.Arbitrary<T>) => fc.tuple(numbers, numbers);
  const pair = fc.oneof(
    two(fc.record({ width: whole(20, 80), height: whole(20, 120), corner: whole(1, 9) })).map(
      (own) => ["rectangle", ...own] as const,
    ),
    two(fc.record({ rx: whole(5, 60), ry: whole(5, 60) })).map((own) => ["ellipse", ...own] as const),
    two(fc.record({ length: whole(10, 60), width: whole(5, 30) })).map((own) => ["petal", ...own] as const),
    fc
      .tuple(whole(3, 9), two(fc.record({ outer: whole(20, 60), inner: whole(5, 19) })))
      .map(([points, [a, b]]) => ["star", { ...a, points }, { ...b, points }] as const),
    fc
      .tuple(whole(3, 9), two(fc.record({ radius: whole(5, 60) })))
      .map(([sides, [a, b]]) => ["polygon", { ...a, sides }, { ...b, sides }] as const),
  );

  test("go over number by number: half way stands the one of the mean numbers", () => {
    fc.assert(
      fc.property(pair, ([kind, from, to]) => {
        const numbers = (own: object) => new Map<string, number>(Object.entries(own));
        const mean = Object.fromEntries(
          [...numbers(from)].map(([name, value]) => [name, (value + (numbers(to).get(name) ?? 0)) / 2]),
        );
        const [, middle = []] = outlinesOf(
          partOf(partDesign({ kind, ...from }, [between({ to: { kind, ...to }, count: 3 })])),
        );
        const [wanted = []] = outlinesOf(partOf(partDesign({ kind, ...mean }, [])));
        const [got, exact] = [flattenPath(middle, 0.002).flat(), flattenPath(wanted, 0.002).flat()];
        const chords = exact.slice(1).map((point, k) => [exact[k] ?? point, point] as const);
        for (const point of got) {
          expect(Math.min(...chords.map(([a, b]) => distanceToChord(point, a, b)))).toBeLessThan(0.005);
        }
      }),
      {
        numRuns: members(8),
        examples: [
          [["rectangle", { width: 50, height: 110, corner: 25 }, { width: 26, height: 86, corner: 13 }] as const],
          // A side that the corners take up whole, and one they do not.
          [["rectangle", { width: 50, height: 110, corner: 25 }, { width: 40, height: 70, corner: 6 }] as const],
          [["rectangle", { width: 40, height: 70, corner: 6 }, { width: 90, height: 24, corner: 12 }] as const],
        ],
      },
    );
  });
});
