import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  buildScene,
  makeStitchSvg,
  planStitches,
  rasterise,
  stitchingOf,
  subjectOf,
  svgOfScene,
  type Design,
  type Path,
  type StitchPlan,
} from "../src";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { windingOf, type Chord } from "../src/geometry/winding";
import { columnsOf, rowsAcross } from "../src/thread/fill/rows";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { outlinesOf, partOf } from "./scenes";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

const whole = (min: number, max: number) => fc.integer({ min, max });
const kind = <K extends string>(name: K) => fc.constant(name);

const area = fc.oneof(
  fc.record({ kind: kind("star"), points: whole(3, 8), outer: whole(18, 30), inner: whole(8, 14) }),
  fc.record({ kind: kind("polygon"), sides: whole(3, 8), radius: whole(10, 25), corner: whole(0, 3) }),
  fc.record({ kind: kind("drop"), length: whole(25, 45), width: whole(12, 24) }),
  fc.record({ kind: kind("leaf"), length: whole(25, 45), width: whole(10, 24), bend: fc.constantFrom(0, 0.5, 1) }),
  fc.record({
    kind: kind("sector"),
    outer: whole(20, 35),
    inner: whole(5, 10),
    from: whole(0, 60),
    to: whole(90, 300),
  }),
);
/** Holes here and there, which may also cut through the edge. */
const holes = fc.array(
  fc
    .record({ radius: whole(2, 5), x: whole(-14, 14), y: whole(-24, 14) })
    .map(({ radius, x, y }) => ({ kind: "disc", radius, at: { x, y } })),
  { maxLength: 3 },
);
const fill = fc.record({
  angle: whole(0, 179),
  spacing: fc.constantFrom(0.4, 0.5, 0.8),
  length: whole(2, 6),
  shift: fc.constantFrom(0, 0.25, 0.333),
  wave: fc.record({ length: whole(10, 20), height: fc.constantFrom(0, 0, 1.5) }),
});

const FRAME = { width: 400, height: 400 };
const designOf = (part: object, making: object = {}): Design =>
  designWith({
    parts: [{ id: "a", finish: { fill: null }, ...part }],
    making: { stitch: { frame: FRAME, ...making } },
  });

interface Stitch {
  readonly from: { x: number; y: number };
  readonly to: { x: number; y: number };
  readonly length: number;
}

function stitchesOf({ x, y, how }: StitchPlan): Stitch[] {
  return Array.from(how.keys()).flatMap((k): Stitch[] => {
    if (how[k] !== 0) return [];
    const [from, to] = [
      { x: x[k - 1] ?? 0, y: y[k - 1] ?? 0 },
      { x: x[k] ?? 0, y: y[k] ?? 0 },
    ];
    return [{ from, to, length: Math.hypot(to.x - from.x, to.y - from.y) }];
  });
}

const chordsOf = (path: Path): Chord[] =>
  flattenPath(path, 0.01).flatMap((points) => points.map((to, k): Chord => [points.at(k - 1) ?? to, to]));

/** How far a point is outside an area, millimetres; 0 inside. */
function outside(chords: readonly Chord[], point: { x: number; y: number }): number {
  if (windingOf(chords, point) !== 0) return 0;
  return chords.reduce((least, [from, to]) => Math.min(least, distanceToChord(point, from, to)), Infinity);
}

/** The share of what is dark in one picture that is dark in another, both of the hoop. */
function coveredShare(design: Design, drawn: Design): number {
  const subject = subjectOf(design);
  const stitches = makeStitchSvg({ ...subject, plan: planStitches(subject.scene) });
  const frame = { left: -60, top: -60, right: 60, bottom: 60 };
  const pixels = { width: 1200, height: 1200 };
  const shape = svgOfScene(buildScene(drawn), { title: "", unit: "mm", embed: null, imageDpi: 150, frame, pixels });
  const dark = (svg: string) =>
    rasterise(svg, pixels.width, ({ pixels: data }) =>
      Uint8Array.from({ length: data.length / 4 }, (_, k) =>
        (data[4 * k] ?? 255) < 128 && (data[4 * k + 3] ?? 0) >= 128 ? 255 : 0,
      ),
    );
  const [thread, wanted] = [dark(stitches), dark(shape)];
  let [all, covered] = [0, 0];
  for (let k = 0; k < wanted.length; k++) {
    if ((wanted[k] ?? 0) < 128) continue;
    all += 1;
    if ((thread[k] ?? 0) >= 128) covered += 1;
  }
  return covered / all;
}

describe("random areas with holes, filled", () => {
  test("stay in the area, keep the machine's limits, and are one run where the area hangs together", () => {
    fc.assert(
      fc.property(area, holes, fill, (motif, cutouts, settings) => {
        // Over gaps that may be travelled thread lies outside the area.
        const design = designOf({ motif, cutouts, stitch: { fill: settings } }, { tie: false, travel: 0 });
        const scene = buildScene(design);
        const plan = planStitches(scene);
        const outlines = outlinesOf(partOf(design)).flat();
        const chords = chordsOf(outlines);
        const stitches = stitchesOf(plan);
        for (const { from, to, length } of stitches) {
          expect(length).toBeLessThan(7.001);
          expect(length).toBeGreaterThan(0.398);
          for (const t of [0.5, 1]) {
            const point = { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t };
            expect(outside(chords, point)).toBeLessThan(0.2);
          }
        }
        const moves = [...plan.how].filter((how) => how > 0 && how < 4).length;
        expect(moves).toBeLessThanOrEqual(piecesOf(outlines, settings.spacing));
      }),
      { numRuns: members(9) },
    );
  });

  test("every row is sewn once: as much thread along rows as they are long", () => {
    fc.assert(
      fc.property(area, holes, fill, (motif, cutouts, settings) => {
        const level = { ...settings, wave: { length: 12, height: 0 } };
        const design = designOf({ motif, cutouts, stitch: { fill: level } }, { tie: false });
        const plan = planStitches(buildScene(design));
        const turn = (-level.angle * Math.PI) / 180;
        const carried = flattenPath(outlinesOf(partOf(design)).flat(), 0.01).map((points) =>
          points.map(({ x, y }) => ({
            x: x * Math.cos(turn) - y * Math.sin(turn),
            y: x * Math.sin(turn) + y * Math.cos(turn),
          })),
        );
        const rows = rowsAcross(carried, level.spacing);
        const [first] = rows;
        const rowAt = (y: number) => Math.round((y - (first?.y ?? 0)) / level.spacing);
        const heights = new Map<number, number>();
        for (const { from, to } of stitchesOf(plan)) {
          const [a, b] = [from, to].map(({ x, y }) => ({
            x: x * Math.cos(turn) - y * Math.sin(turn),
            y: x * Math.sin(turn) + y * Math.cos(turn),
          }));
          if (!a || !b || Math.abs(a.y - b.y) > 1e-6) continue;
          heights.set(rowAt(a.y), (heights.get(rowAt(a.y)) ?? 0) + Math.abs(a.x - b.x));
        }
        const wanted = new Map<number, number>();
        for (const { y, from, to } of rows) {
          wanted.set(rowAt(y), (wanted.get(rowAt(y)) ?? 0) + to.x - from.x);
        }
        for (const [height, length] of wanted) {
          // Stretches shorter than a stitch may be left out; a straight edge along a row is passed over, too.
          const sewn = heights.get(height) ?? 0;
          expect(sewn).toBeGreaterThan(length - 2 * level.length - 0.5);
        }
        const sum = (lengths: Iterable<number>) => [...lengths].reduce((all, length) => all + length, 0);
        expect(sum(heights.values())).toBeLessThan(1.02 * sum(wanted.values()) + 60);
      }),
      { numRuns: members(9) },
    );
  });

  test("columns hold every stretch of a row once", () => {
    fc.assert(
      fc.property(area, holes, (motif, cutouts) => {
        const polygons = flattenPath(outlinesOf(partOf(designOf({ motif, cutouts }))).flat(), 0.01);
        const rows = rowsAcross(polygons, 0.5);
        expect(
          columnsOf(rows)
            .flat()
            .sort((a, b) => a - b),
        ).toEqual(rows.map((_, k) => k));
      }),
      { numRuns: members(20) },
    );
  });

  test("cover at least 97 % of the area with thread 0.4 mm thick", () => {
    fc.assert(
      fc.property(area, holes, whole(0, 179), fc.constantFrom(0, 1.5), (motif, cutouts, angle, height) => {
        const part = { motif, cutouts, at: { x: 0, y: 10 } };
        const design = designOf(
          { ...part, stitch: { fill: { angle, wave: { length: 12, height } } } },
          { frame: { width: 120, height: 120 } },
        );
        const drawn = designOf({ ...part, finish: { fill: "#000000" } });
        expect(coveredShare(design, drawn)).toBeGreaterThan(0.97);
      }),
      { numRuns: members(9) },
    );
  });
});

/** How many pieces an area hangs together in, by the rows across it. */
function piecesOf(outlines: Path, spacing: number): number {
  const polygons = flattenPath(outlines, 0.01);
  const rows = rowsAcross(polygons, spacing / 4);
  const owner = rows.map((_, k) => k);
  const find = (k: number): number => (owner[k] === k ? k : (owner[k] = find(owner[k] ?? k)));
  rows.forEach((a, k) => {
    for (let other = k + 1; other < rows.length && (rows[other]?.row ?? 0) <= a.row + 1; other++) {
      const b = rows[other];
      if (b && b.row === a.row + 1 && a.from.x < b.to.x && b.from.x < a.to.x) owner[find(k)] = find(other);
    }
  });
  return new Set(owner.map((_, k) => find(k))).size;
}

const band = fc.oneof(
  fc.record({ kind: kind("disc"), radius: whole(8, 25) }),
  fc.record({ kind: kind("arc"), radius: whole(10, 25), from: whole(0, 90), to: whole(150, 330) }),
  fc.record({ kind: kind("polygon"), sides: whole(4, 8), radius: whole(14, 25) }),
  fc.record({ kind: kind("petal"), length: whole(25, 45), width: whole(14, 24) }),
);

describe("random bands in satin", () => {
  test("cover at least 97 % of the band", () => {
    fc.assert(
      fc.property(band, whole(2, 5), (motif, width) => {
        const part = { motif, at: { x: 0, y: 10 } };
        const design = designOf(
          { ...part, stitch: { line: { kind: "satin", width } } },
          { frame: { width: 120, height: 120 }, tie: false },
        );
        const drawn = designOf({
          ...part,
          finish: { fill: null, line: { width, paint: "#000000", cap: "butt", join: "bevel" } },
        });
        expect(coveredShare(design, drawn)).toBeGreaterThan(0.97);
      }),
      { numRuns: members(9) },
    );
  });

  test("no stitch is longer or shorter than the machine can", () => {
    fc.assert(
      fc.property(band, whole(2, 12), fc.constantFrom(0.4, 0.6, 1), (motif, width, spacing) => {
        const stitch = { line: { kind: "satin", width, spacing } };
        const plan = planStitches(buildScene(designOf({ motif, stitch }, { tie: false })));
        for (const { length } of stitchesOf(plan)) {
          expect(length).toBeLessThan(7.001);
          expect(length).toBeGreaterThan(0.398);
        }
      }),
      { numRuns: members(9) },
    );
  });
});

describe("random ornaments", () => {
  const ornament = fc.record({ motif: area, count: whole(2, 9), radius: whole(1, 30), line: whole(0, 3) });

  test("sewn by their finish, with the same plan each time, every number finite", () => {
    fc.assert(
      fc.property(ornament, ({ motif, count, radius, line }) => {
        const design = designWith({
          parts: [
            {
              id: "a",
              motif,
              rules: [{ kind: "ring", count, radius }],
              finish: { fill: "#1E6F5C", ...(line > 0 && { line: { width: line / 2, paint: "#C8442B" } }) },
            },
          ],
        });
        const [plan, again] = [planStitches(buildScene(design)), planStitches(buildScene(design))];
        expect(plan).toEqual(again);
        expect([...plan.x, ...plan.y].every(Number.isFinite)).toBe(true);
        expect(plan.spans.at(-1)?.to).toBe(plan.how.length);
        expect(new Set(plan.threads.map(({ color }) => color)).size).toBe(line > 0 ? 2 : 1);
        expect(stitchingOf(partOf(design))?.line?.kind).toBe(line === 0 ? undefined : line >= 2 ? "satin" : "running");
      }),
      { numRuns: members(16) },
    );
  });

  test("move without sewing no oftener than there are pieces that do not touch, less one", () => {
    fc.assert(
      fc.property(ornament, ({ motif, count, radius }) => {
        const part = { motif, rules: [{ kind: "ring", count, radius }], stitch: { fill: {} } };
        const plan = planStitches(buildScene(designOf(part)));
        const moves = [...plan.how].filter((how, k) => k > 0 && how > 0 && how < 4).length;
        const united = designOf({ ...part, join: { mode: "merge" } });
        const pieces = piecesOf(outlinesOf(partOf(united)).flat(), 0.5);
        expect(moves).toBeLessThanOrEqual(pieces - 1);
      }),
      { numRuns: members(16) },
    );
  });
});
