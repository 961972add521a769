import { beforeAll, describe, expect, test } from "@jest/globals";
import { areaOfPath, type Path } from "../src/geometry/path";
import { monotone } from "../src/geometry/monotone";
import { flattenPath } from "../src/geometry/flatten";
import { combine } from "../src/geometry/boolean/boolean";
import { boxOfPath, strokesAsAreas, type PartScene, type Piece } from "../src";
import { dotsAlong } from "../src/finish/line/intervals";
import { withGeometryEngine } from "./prepared";
import { partDesign } from "./testDesign";
import { partOf } from "./scenes";

beforeAll(withGeometryEngine);

const lined = (motif: object, line: object): PartScene =>
  partOf(partDesign(motif, [], { finish: { fill: null, line } }));

function linePieces({ geometry, finish }: PartScene): Piece[] {
  return strokesAsAreas(geometry.shapes, finish.line).flatMap(({ pieces }) =>
    (pieces ?? []).filter(
      ({ fill }) => fill === "line" || (typeof fill === "object" && fill !== null && "along" in fill),
    ),
  );
}

/** The area a nonzero fill of all line pieces covers. */
function covered(part: PartScene): number {
  return areaOfPath(combine([linePieces(part).flatMap(({ path }) => path)], "union"));
}

const flat = (width: number) => [
  { at: 0, width },
  { at: 1, width },
];

describe("the area of a line that swells", () => {
  test.each([
    ["butt", 40 * 3],
    ["square", 43 * 3],
    ["round", 40 * 3 + Math.PI * 1.5 ** 2],
  ])("a straight line of one width with %s ends", (cap, area) => {
    expect(covered(lined({ kind: "line", length: 40 }, { swell: flat(3), cap }))).toBeCloseTo(area, 2);
  });

  test("from 1 to 5 mm along 40 mm: the mean width times the length", () => {
    const swell = [
      { at: 0, width: 1 },
      { at: 1, width: 5 },
    ];
    expect(covered(lined({ kind: "line", length: 40 }, { swell, cap: "butt" }))).toBeCloseTo(40 * 3, 1);
  });

  test("around a circle it is a ring", () => {
    const area = covered(lined({ kind: "disc", radius: 20 }, { swell: flat(2) }));
    expect(area).toBeCloseTo(Math.PI * (21 ** 2 - 19 ** 2), 1);
  });

  test.each([
    ["miter", 4 * (40 * 4)],
    ["bevel", 4 * (40 * 4) - 4 * 2],
    ["round", 4 * (40 * 4) - 4 * (4 - Math.PI)],
  ])("around a square with %s corners", (join, area) => {
    const square = { kind: "rectangle", width: 40, height: 40 };
    expect(covered(lined(square, { swell: flat(4), join }))).toBeCloseTo(area, 1);
  });

  test("a wavy line stays within half its width of its course", () => {
    const wave = { kind: "wave", length: 60, height: 10, waves: 4 };
    const part = lined(wave, { swell: flat(1.2), cap: "butt" });
    const course = flattenPath(part.geometry.path, 0.0003).flat();
    for (const edge of flattenPath(linePieces(part)[0]?.path ?? [], 0.01).flat()) {
      const away = Math.min(...course.map(({ x, y }) => Math.hypot(x - edge.x, y - edge.y)));
      expect(away).toBeLessThan(0.63);
    }
  });
});

describe("a line inside or outside its outline", () => {
  test.each([
    ["inside", 400 - 324],
    ["outside", 484 - 400],
    ["center", 441 - 361],
  ])("%s a disc of 20, 2 wide", (place, share) => {
    const shape = place === "center" ? { width: 2, swell: flat(2) } : { width: 2, place };
    expect(covered(lined({ kind: "disc", radius: 20 }, shape))).toBeCloseTo(share * Math.PI, 1);
  });

  test("inside a ring it lies within the ring on both edges", () => {
    const area = covered(lined({ kind: "ring", outer: 20, inner: 10 }, { width: 1, place: "inside" }));
    expect(area).toBeCloseTo(Math.PI * (400 - 361 + 121 - 100), 1);
  });
});

describe("dots", () => {
  test("on a circle they are even and their gap is the nearest that comes out even", () => {
    const dots = dotsAlong(100, true, 1, () => 2);
    expect(dots).toHaveLength(33);
    dots.forEach((dot, index) => expect(dot).toBeCloseTo((index * 100) / 33, 9));
  });

  test("on an open line the first stands at the start and the last at the end", () => {
    const dots = dotsAlong(50, false, 0.5, (at) => 1 + at / 25);
    expect(dots[0]).toBe(0);
    expect(dots.at(-1)).toBeCloseTo(50, 9);
    // The gaps between edges stay near the one asked for though the dots grow.
    for (let k = 1; k < dots.length; k++) {
      const [from = 0, to = 0] = [dots[k - 1], dots[k]];
      expect(to - from - (2 + from / 25 + to / 25) / 2).toBeGreaterThan(0.35);
      expect(to - from - (2 + from / 25 + to / 25) / 2).toBeLessThan(0.65);
    }
  });

  test("they follow the swell, and stand inside when asked", () => {
    const swell = [
      { at: 0, width: 1 },
      { at: 0.5, width: 3 },
      { at: 1, width: 1 },
    ];
    const part = lined({ kind: "disc", radius: 20 }, { dots: { gap: 1 }, swell, place: "inside" });
    const box = boxOfPath(linePieces(part).flatMap(({ path }) => path));
    expect(box.bottom).toBeLessThan(20.001);
    expect(box.top).toBeCloseTo(-20, 3);
    const sizes = linePieces(part)[0]?.path.map((run) => boxOfPath([run])) ?? [];
    const widths = sizes.map(({ left, right }) => right - left);
    expect(Math.min(...widths)).toBeCloseTo(1, 1);
    expect(Math.max(...widths)).toBeCloseTo(3, 1);
  });
});

describe("a colour along the line", () => {
  const paint = {
    kind: "linear",
    over: "line",
    stops: [
      { at: 0, color: "#000000" },
      { at: 1, color: "#FFFFFF" },
    ],
  };

  test("it goes from one end to the other without a gap", () => {
    const part = lined({ kind: "line", length: 40 }, { width: 2, paint, cap: "butt" });
    const shares = linePieces(part).map(({ fill }) =>
      typeof fill === "object" && fill && "along" in fill ? fill.along : -1,
    );
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares[0]).toBeLessThan(0.02);
    expect(shares.at(-1)).toBeGreaterThan(0.98);
    expect(covered(part)).toBeCloseTo(80, 2);
  });

  test("dots each have the colour of their place", () => {
    const part = lined({ kind: "line", length: 40 }, { width: 2, paint, dots: { gap: 2 } });
    expect(linePieces(part)).toHaveLength(11);
  });
});

test("dashes of a swelling line: each as long as told, the last as long as is left", () => {
  const part = lined({ kind: "line", length: 20 }, { swell: flat(1), dash: [3, 2], cap: "butt" });
  const runs: Path = linePieces(part).flatMap(({ path }) => path);
  expect(runs.map((run) => Math.round(areaOfPath([run]) * 1000) / 1000)).toEqual([3, 3, 3, 3]);
});

test("widths between knots never leave the two knots' values", () => {
  const width = monotone([
    { at: 0, value: 1 },
    { at: 0.3, value: 1 },
    { at: 0.4, value: 5 },
    { at: 1, value: 0 },
  ]);
  for (let k = 0; k <= 100; k++) {
    const value = width(k / 100);
    expect(value).toBeGreaterThanOrEqual(0);
    expect(value).toBeLessThanOrEqual(5);
    if (k <= 30) expect(value).toBe(1);
  }
});
