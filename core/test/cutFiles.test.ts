import { readdirSync, readFileSync } from "node:fs";
import { beforeAll, describe, expect, test } from "@jest/globals";
import dxfParser from "dxf-parser";
import fc from "fast-check";
import {
  DEVICES,
  formatOf,
  headLength,
  makeFile,
  parseDesign,
  pathOfData,
  planCut,
  pointsOfMove,
  readProgram,
  type CutPlan,
  type Design,
  type HeadMove,
  type Point,
} from "../src";
import { distanceToChord } from "../src/geometry/chordDistance";
import { flattenPath } from "../src/geometry/flatten";
import { segmentsOf, type Subpath } from "../src/geometry/path";
import { measurePath } from "../src/geometry/pathLength";
import { isRecord } from "../src/fields/stored";
import { buildScene } from "../src/scene/sceneBuilder";
import { prepareFor } from "../src/scene/needs";
import { TEST_HOST, withGeometryEngine } from "./prepared";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

/** The package is a CommonJS one: its class is all it exports, or that one's default. */
type ParserClass = typeof dxfParser;
const isClass = (value: unknown): value is ParserClass => typeof value === "function";
const Parser = "default" in dxfParser && isClass(dxfParser.default) ? dxfParser.default : dxfParser;

beforeAll(withGeometryEngine);

async function textOf(design: Design, extension: string): Promise<string> {
  const format = formatOf(extension);
  const made = format && (await makeFile(design, format, {}, TEST_HOST));
  if (!made || !("file" in made)) throw new Error(JSON.stringify(made));
  return String(made.file);
}

function movesOf(program: string): readonly HeadMove[] {
  const moves = readProgram(program);
  if ("message" in moves) throw new Error(`line ${moves.line}: ${moves.message}`);
  return moves;
}

/** Moves with the head down, those without a lift between them together; on the sheet's axes. */
function workOf(moves: readonly HeadMove[], { settings: { frame } }: CutPlan): Point[][] {
  const works: Point[][] = [];
  let isDown = false;
  for (const move of moves) {
    if (move.isDown) {
      if (!isDown) works.push([]);
      works
        .at(-1)
        ?.push(...pointsOfMove(move, 0.002).map(({ x, y }) => ({ x: x - frame.width / 2, y: frame.height / 2 - y })));
    }
    isDown = move.isDown;
  }
  return works;
}

const offFrom = (point: Point, chords: readonly Point[]) =>
  chords.reduce(
    (least, end, k) => Math.min(least, distanceToChord(point, chords[Math.max(0, k - 1)] ?? end, end)),
    Infinity,
  );

/** Every run of a plan is followed in order, none left out, within the tolerance both ways. */
function expectFollowed(program: string, plan: CutPlan): void {
  const moves = movesOf(program);
  const works = workOf(moves, plan);
  const runs = plan.strokes.flatMap((stroke) => stroke.runs);
  expect(works).toHaveLength(runs.length);
  const near = plan.settings.tolerance + 1e-3;
  runs.forEach((run, index) => {
    const [work, [chords = []]] = [works[index] ?? [], flattenPath([run], 0.002)];
    for (const point of sampled(work)) expect(offFrom(point, chords)).toBeLessThan(near);
    for (const point of sampled(chords)) expect(offFrom(point, work)).toBeLessThan(near);
  });
  const length = moves.reduce((sum, move) => sum + (move.isDown ? headLength(move) : 0), 0);
  expect(Math.abs(length - plan.length)).toBeLessThan(1e-3 * plan.length + plan.settings.tolerance * runs.length);
}

const sampled = (points: readonly Point[]) =>
  points.filter((_, k) => k % Math.max(1, Math.floor(points.length / 40)) === 0);

const DEMO = readdirSync("demo").filter((name) => name.endsWith(".petal.json"));
/** Demo designs with so few copies that they are planned at once; the larger ones are too slow to be run every time. */
const QUICK = DEMO.filter((name) => /lantern|vent|key|hook|star/.test(name));

async function planned(design: Design): Promise<CutPlan> {
  await prepareFor(design, TEST_HOST);
  return planCut(buildScene(design));
}

describe("the program of a cut is followed by a reader of its own", () => {
  test.each(QUICK)("%s: within the tolerance of its outlines, nothing left out", async (name) => {
    const { design } = parseDesign(readFileSync(`demo/${name}`, "utf8"));
    if (!design) throw new Error(`${name} cannot be read`);
    const plan = await planned(design);
    if (plan.strokes.length > 0) expectFollowed(await textOf(design, "gcode"), plan);
  });

  test("random ornaments, with kerf, leads, overcuts and bridges", async () => {
    const whole = (min: number, max: number) => fc.integer({ min, max });
    const motif = fc.oneof(
      fc.record({ kind: fc.constant("disc"), radius: whole(2, 20) }),
      fc.record({ kind: fc.constant("petal"), length: whole(10, 40), width: whole(4, 20) }),
      fc.record({ kind: fc.constant("star"), points: whole(3, 8), outer: whole(12, 30), inner: whole(4, 11) }),
      fc.record({ kind: fc.constant("ring"), outer: whole(12, 25), inner: whole(2, 10) }),
    );
    const settings = fc.record({
      kerf: fc.constantFrom(0, 0.2, 0.5),
      leadIn: fc.constantFrom(0, 2),
      overcut: fc.constantFrom(0, 1),
      tolerance: fc.constantFrom(0.01, 0.02, 0.1),
    });
    const rules = fc.record({ kind: fc.constant("ring"), count: whole(2, 8), radius: whole(10, 60) });
    await fc.assert(
      fc.asyncProperty(
        motif,
        rules,
        settings,
        whole(0, 3),
        fc.constantFrom("apart", "merge"),
        async (own, rule, cut, count, mode) => {
          const part = { id: "a", motif: own, rules: [rule], join: { mode }, cut: { bridges: { count, width: 1 } } };
          const design = designWith({ parts: [part], making: { cut } });
          expectFollowed(await textOf(design, "gcode"), await planned(design));
        },
      ),
      { numRuns: members(6) },
    );
  });

  test("a merged outline of arcs takes at most three moves for each of its arcs", async () => {
    const discs = { id: "a", motif: { kind: "disc", radius: 12 }, rules: [{ kind: "ring", count: 12, radius: 30 }] };
    const design = designWith({ parts: [{ ...discs, join: { mode: "merge" } }], making: { cut: { kerf: 0 } } });
    const plan = await planned(design);
    const arcs = plan.loops.reduce((sum, { run }) => sum + segmentsOf(run).length, 0);
    const moves = movesOf(await textOf(design, "gcode")).filter(({ isDown }) => isDown);
    expect(moves.length).toBeLessThanOrEqual(3 * arcs);
    expect(moves.every(({ centre }) => centre !== null)).toBe(true);
  });
});

/** A plate with holes, a scored line and a petal whose edge is no arc. */
const PLATE = designWith({
  parts: [
    { id: "plate", motif: { kind: "disc", radius: 40 } },
    { id: "holes", motif: { kind: "petal", length: 12, width: 6 }, rules: [{ kind: "ring", count: 6, radius: 18 }] },
    { id: "fold", motif: { kind: "line", length: 30 }, cut: { as: "score" } },
  ],
  making: { cut: { kerf: 0, frame: { width: 120, height: 100 } } },
});

describe("files of a cut are read back", () => {
  test("DXF: a layer for each way, the same length and box by a reader that did not write it", async () => {
    const read: unknown = new Parser().parseSync(await textOf(PLATE, "dxf"));
    const entities = isRecord(read) && Array.isArray(read.entities) ? read.entities.filter(isRecord) : [];
    const plan = await planned(PLATE);
    const lengthOn = (layer: string) =>
      entities.filter((entity) => entity.layer === layer).reduce((sum, entity) => sum + entityLength(entity), 0);
    const laid = (as: string) =>
      plan.strokes
        .filter((stroke) => stroke.as === as)
        .flatMap(({ runs }) => runs)
        .reduce((sum, run) => sum + measurePath(run).length, 0);
    for (const way of ["cut", "score"]) expect(Math.abs(lengthOn(way) - laid(way))).toBeLessThan(1e-3 * laid(way));
    expect(entities.some(({ type }) => type === "ARC")).toBe(true);
    expect(entities.some(({ type }) => type === "SPLINE")).toBe(true);
    const arc = entities.find(({ type }) => type === "ARC");
    // The plate's middle is the frame's, counted from its lower left corner.
    expect(
      isRecord(arc?.center) && [Number(arc.center.x), Number(arc.center.y)].map((value) => Number(value.toFixed(3))),
    ).toEqual([60, 50]);
  });

  test("SVG: the frame's size, a group for each way, the same lines", async () => {
    const svg = await textOf(PLATE, "cut.svg");
    expect(svg).toContain('width="120mm" height="100mm"');
    const plan = await planned(PLATE);
    const paths = [...svg.matchAll(/<path d="([^"]+)"/g)].flatMap(([, data]) => pathOfData(data ?? "") ?? []);
    const total = paths.reduce((sum, run: Subpath) => sum + measurePath(run).length, 0);
    expect(Math.abs(total - plan.length)).toBeLessThan(1e-4 * plan.length);
    expect(svg.match(/<g id="(\w+)"/g)).toHaveLength(2);
  });

  test("what has nothing to cut is refused in words", async () => {
    const format = formatOf("gcode");
    const none = designWith({ parts: [{ id: "a", motif: { kind: "disc", radius: 5 }, cut: "none" }] });
    expect(format && (await makeFile(none, format, {}, TEST_HOST))).toEqual({
      refusal: expect.stringContaining("nothing to cut"),
    });
  });
});

/** The length of a line, an arc or a curve as the reader tells it. */
function entityLength(entity: Readonly<Record<string, unknown>>): number {
  const point = (value: unknown): Point =>
    isRecord(value) ? { x: Number(value.x), y: Number(value.y) } : { x: NaN, y: NaN };
  if (entity.type === "LINE" && Array.isArray(entity.vertices)) {
    const [a, b] = entity.vertices.map(point);
    return Math.hypot((a?.x ?? 0) - (b?.x ?? 0), (a?.y ?? 0) - (b?.y ?? 0));
  }
  if (entity.type === "ARC") {
    const turned = (Number(entity.endAngle) - Number(entity.startAngle)) % (2 * Math.PI);
    return Number(entity.radius) * (turned < 0 ? turned + 2 * Math.PI : turned);
  }
  if (entity.type === "SPLINE" && Array.isArray(entity.controlPoints)) {
    const coordinates = entity.controlPoints.map(point).flatMap(({ x, y }) => [x, y]);
    return measurePath({ closed: false, coordinates }).length;
  }
  throw new Error(`there is an entity of another kind: ${String(entity.type)}`);
}

describe("the cutter", () => {
  const cutter = DEVICES.find(({ kind }) => kind === "cutter");
  const open = async (program: string, settings: object = {}) => {
    const read = cutter?.readSettings(settings);
    if (!cutter || !read || "refusal" in read) throw new Error("the settings are refused");
    return cutter.open(new TextEncoder().encode(program), read.settings, TEST_HOST);
  };

  test("runs the program it is sent move by move, and reports what it did", async () => {
    const program = await textOf(PLATE, "gcode");
    const run = await open(program, { frame: { width: 120, height: 100 } });
    if ("refusal" in run) throw new Error(run.refusal);
    const steps = Array.from({ length: run.steps }, (_, index) => run.step(index));
    const report = run.report();
    const plan = await planned(PLATE);
    expect(Math.abs((report.length ?? 0) - plan.length)).toBeLessThan(1e-3 * plan.length);
    expect(Math.abs((report.seconds ?? 0) - plan.seconds)).toBeLessThan(2e-3 * plan.seconds);
    expect(report.pieces).toBe(7);
    expect(steps.reduce((sum, { seconds }) => sum + seconds, 0)).toBeCloseTo(report.seconds ?? 0, 6);
    expect([report.left, report.right].map((value) => Math.round(value ?? NaN))).toEqual([20, 100]);
  });

  test.each([
    ["leaves the frame", "G0 X1\nM3\nF60\nG1 X700\nM2", "Line 4: the head leaves the frame"],
    [
      "leaves it by an arc between its ends",
      "G0 X10 Y399\nM3\nF60\nG2 X30 Y399 I10 J0\nM2",
      "Line 4: the head leaves the frame",
    ],
    ["never lets the head down", "G0 X1\nM2", "nothing to cut"],
    ["has a fault", "G0 X1\nM3\nG1 X5\nM2", "Line 3: no feed"],
    ["is no text", "G0\0X1", "not text"],
    ["is empty", "", "does not end"],
  ])("refuses a program that %s", async (_what, program, words) => {
    expect(await open(program)).toEqual({ refusal: expect.stringContaining(words) });
  });
});
