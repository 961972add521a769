import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { areaOfPath, segmentsOf, type Path } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { outlinesOf, partOf } from "./scenes";
import { partDesign } from "./testDesign";

beforeAll(withGeometryEngine);

type Content = readonly [motif: object, rules: readonly object[], more?: object];

const joined = ([motif, rules, more]: Content, mode: "merge" | "evenOdd" | "faces"): Path[] =>
  outlinesOf(partOf(partDesign(motif, rules, { ...more, join: { mode } })));
const merged = (content: Content): Path => joined(content, "merge").flat();
const evenOdd = (content: Content): Path => joined(content, "evenOdd").flat();
/** Faces are followed by the lines drawn over them. */
const faces = (content: Content): Path[] => joined(content, "faces").slice(0, -1);
const count = (path: Path) => path.flatMap(segmentsOf).length;

/** The length of all lines that are drawn when doubled ones are left out. */
function drawnOnce([motif, rules, more]: Content): number {
  const { shapes } = partOf(partDesign(motif, rules, { ...more, join: { dropDoubled: true } })).geometry;
  const lines = shapes.flatMap(({ path, pieces }) =>
    pieces ? pieces.filter(({ fill }) => fill === null).flatMap((piece) => piece.path) : path,
  );
  return lines.reduce((sum, line) => sum + measurePath(line).length, 0);
}

/** Areas agree within this share. */
const SHARE = 5e-5;
const expectArea = (path: Path, area: number) =>
  expect(Math.abs(areaOfPath(path) - area)).toBeLessThanOrEqual(SHARE * area);

const turned = (times: number) => [{ kind: "turn", count: times }];
const disc = (radius: number) => ({ kind: "disc", radius });
const whole = (min: number, max: number) => fc.integer({ min, max });

describe("curves that lie on each other", () => {
  test("a disc turned three times is one disc, however it is joined", () => {
    const thrice: Content = [disc(20), turned(3)];
    expect(faces(thrice)).toHaveLength(1);
    for (const path of [merged(thrice), evenOdd(thrice)]) {
      expect(path).toHaveLength(1);
      expect(count(path)).toBe(8);
      expectArea(path, 400 * Math.PI);
    }
    expect(drawnOnce(thrice)).toBeCloseTo(40 * Math.PI, 2);
  });

  test("twelve sectors that overlap are one ring, and 24 faces", () => {
    const sectors: Content = [{ kind: "sector", outer: 30, inner: 10, from: 0, to: 50 }, turned(12)];
    const ring = merged(sectors);
    expect(ring).toHaveLength(2);
    expect(count(ring)).toBeLessThanOrEqual(24);
    expectArea(ring, 800 * Math.PI);
    const split = faces(sectors);
    expect(split).toHaveLength(24);
    for (const [index, face] of split.entries()) expect([index, count(face)]).toEqual([index, 4]);
  });

  test("seven arcs of 70° around one circle draw it once", () => {
    expect(drawnOnce([{ kind: "arc", radius: 20, from: 0, to: 70 }, turned(7)])).toBeCloseTo(40 * Math.PI, 2);
  });

  test("a square turned and reflected onto others: even-odd leaves the one without a double", () => {
    const path = evenOdd([{ kind: "polygon", sides: 4, radius: 20 }, [...turned(3), { kind: "reflect" }]]);
    expect(path).toHaveLength(1);
    expect(count(path)).toBe(4);
    expectArea(path, 800);
  });

  test("arcs that overlap all around draw their circle once, however many and long", () => {
    fc.assert(
      fc.property(whole(3, 24), whole(1, 40), whole(3, 200), (times, over, radius) => {
        const arc = { kind: "arc", radius, from: 0, to: Math.min(350, 360 / times + over) };
        const round = 2 * Math.PI * radius;
        expect(Math.abs(drawnOnce([arc, turned(times)]) - round)).toBeLessThan(2e-4 * round);
      }),
      { numRuns: members(14) },
    );
  });

  test("regular polygons turned thrice and reflected: two pairs undo each other, one stays", () => {
    fc.assert(
      fc.property(whole(4, 20), whole(1, 80), whole(0, 90), (sides, radius, turn) => {
        fc.pre(sides % 3 !== 0);
        const rules = [...turned(3), { kind: "reflect" }];
        const path = evenOdd([{ kind: "polygon", sides, radius }, rules, { at: { turn } }]);
        expect(path).toHaveLength(1);
        expect(count(path)).toBe(sides);
        expectArea(path, (sides / 2) * radius * radius * Math.sin((2 * Math.PI) / sides));
      }),
      { numRuns: members(36) },
    );
  });

  test("rings of sectors: merged a ring, as faces twice as many as sectors where neighbours overlap", () => {
    const sector = fc.record({ times: whole(3, 16), over: whole(1, 20), inner: whole(2, 30), wide: whole(2, 60) });
    fc.assert(
      fc.property(sector, whole(0, 90), ({ times, over, inner, wide }, turn) => {
        const pitch = 360 / times;
        const motif = { kind: "sector", inner, outer: inner + wide, from: 0, to: pitch + Math.min(over, pitch / 2) };
        const content: Content = [motif, turned(times), { at: { turn } }];
        const ring = merged(content);
        expect(ring).toHaveLength(2);
        expectArea(ring, Math.PI * ((inner + wide) ** 2 - inner ** 2));
        expect(faces(content)).toHaveLength(2 * times);
        expect(evenOdd(content)).toHaveLength(times);
      }),
      { numRuns: members(20) },
    );
  });
});

/** A wall of bricks in rows, each half a brick on from the row before, as a design of this scale, turned and moved. */
interface Wall {
  readonly columns: number;
  readonly rows: number;
  readonly turn: number;
  readonly scale: number;
  readonly x: number;
}

const wall = fc.record<Wall>({
  columns: whole(1, 5),
  rows: whole(2, 5),
  turn: fc.double({ min: 0, max: 360, noNaN: true }),
  scale: fc.constantFrom(1e-3, 0.01, 0.3, 1, 7, 100, 1e3),
  x: fc.constantFrom(0, 17.3, 1e4),
});

function bricks({ columns, rows, turn, scale, x }: Wall): Content {
  const [width, height] = [10 * scale, 5 * scale];
  const grid = { kind: "grid", lattice: "brick", columns, rows, pitch: { x: width, y: height } };
  return [{ kind: "rectangle", width, height }, [grid], { at: { turn, x } }];
}

describe("edges that meet others between their ends", () => {
  test("four turned bricks are one outline", () => {
    const path = merged(bricks({ columns: 2, rows: 2, turn: 10, scale: 1, x: 0 }));
    expect(path).toHaveLength(1);
    expect(count(path)).toBe(8);
    expectArea(path, 200);
  });

  test.each(["merge", "evenOdd"] as const)(
    "walls of bricks, turned, of any size and anywhere, are one outline: %s",
    (mode) => {
      fc.assert(
        fc.property(wall, (own) => {
          const path = joined(bricks(own), mode).flat();
          expect(path).toHaveLength(1);
          expectArea(path, 50 * own.columns * own.rows * own.scale ** 2);
          // Three corners a row at either side, but for the corners of the wall itself.
          expect(count(path)).toBe(4 * own.rows);
        }),
        { numRuns: members(100) },
      );
    },
  );

  test("touching squares become one with four sides", () => {
    const square = { kind: "rectangle", width: 10, height: 10 };
    const path = merged([square, [{ kind: "grid", columns: 5, rows: 5, pitch: 10 }], { at: { turn: 31 } }]);
    expect(path).toHaveLength(1);
    expect(count(path)).toBe(4);
    expectArea(path, 2500);
  });
});

describe("lines that are nearly the same", () => {
  test.each([10, 10.0001, 10.005])("rectangles in a row at %f draw the side between two once", (pitch) => {
    const row: Content = [{ kind: "rectangle", width: 10, height: 8 }, [{ kind: "grid", columns: 3, rows: 1, pitch }]];
    expect(Math.abs(drawnOnce(row) - 92)).toBeLessThan(0.03);
  });
});

describe("faces of outlines that lie on each other", () => {
  const whole = (min: number, max: number) => fc.integer({ min, max });
  /** Motifs that a turn about their middle carries onto themselves, and how often. */
  const motif = fc.oneof(
    fc.record({ kind: fc.constant("disc"), radius: whole(3, 20) }),
    fc.record({ kind: fc.constant("ring"), outer: whole(10, 20), inner: whole(2, 8) }),
    fc.record({ kind: fc.constant("ellipse"), rx: whole(4, 20), ry: whole(4, 20) }),
    fc.record({ kind: fc.constant("polygon"), sides: whole(3, 8), radius: whole(4, 20) }),
    fc.record({ kind: fc.constant("star"), points: whole(3, 8), outer: whole(10, 20), inner: whole(3, 9) }),
  );

  test("are there once, however often they are drawn", () => {
    fc.assert(
      fc.property(motif, whole(2, 12), whole(1, 4), (drawn, turns, ring) => {
        const rules = [
          { kind: "turn", count: turns },
          { kind: "ring", count: ring, radius: 60 },
        ];
        const areas = faces([drawn, rules]).map(areaOfPath);
        const covered = areaOfPath(merged([drawn, rules]));
        // Each place that is covered belongs to one face.
        expect(Math.abs(areas.reduce((sum, area) => sum + area, 0) - covered)).toBeLessThan(1e-4 * covered);
      }),
      { numRuns: members(12) },
    );
  });
});
