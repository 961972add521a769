import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  buildScene,
  checkStitches,
  DEVICES,
  formatOf,
  makeStitchCsv,
  makeStitchJson,
  makeStitchSvg,
  planStitches,
  readDesign,
  readStitches,
  subjectOf,
  toldOfStitches,
  type Design,
  type PartScene,
  type StitchPlan,
  type StitchSubject,
} from "../src";
import { withFonts, withGeometryEngine, withRasteriser } from "./prepared";
import { designWith } from "./testDesign";
import { darkPixels, runsByThread } from "./threadPictures";
import { members } from "./randomMembers";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withFonts(), withRasteriser()]);
});

function subjectFor(design: Design): StitchSubject {
  const subject = subjectOf(design);
  expect(subject.scene.problems).toEqual([]);
  return { ...subject, plan: planStitches(subject.scene) };
}

const disc = (more: object = {}, making: object = {}) =>
  designWith({
    name: "Disc & <ring>",
    parts: [{ id: "a", motif: { kind: "disc", radius: 10 }, finish: { fill: "#1E6F5C" }, ...more }],
    making: { stitch: making },
  });

const codes = (plan: StitchPlan, code: number) => [...plan.how].filter((how) => how === code).length;

describe("files of stitches", () => {
  const two = designWith({
    parts: [
      { id: "a", motif: { kind: "disc", radius: 10 }, finish: { fill: "#1E6F5C" } },
      { id: "b", motif: { kind: "ring", outer: 20, inner: 14 }, at: { x: 3 }, finish: { fill: "#C8442B" } },
    ],
  });

  test("JSON says what the plan says, and is read back", () => {
    const subject = subjectFor(two);
    const text = makeStitchJson(subject);
    const file: unknown = JSON.parse(text);
    const told = toldOfStitches(subject.plan);
    expect(file).toMatchObject({
      format: "twin-petal-stitches/1",
      frame: { width: 130, height: 180, shape: "rectangle" },
      threads: [{ color: "#1E6F5C" }, { color: "#C8442B" }],
      told: { stitches: told.stitches, jumps: 0, trims: 0, changes: 1 },
    });
    const read = readStitches(text);
    if ("refusal" in read) throw new Error(read.refusal);
    expect(read.stitches).toHaveLength(subject.plan.how.length);
    read.stitches.forEach(([x, y, how], k) => {
      expect(Math.abs(x - (subject.plan.x[k] ?? 0))).toBeLessThan(6e-4);
      expect(Math.abs(y - (subject.plan.y[k] ?? 0))).toBeLessThan(6e-4);
      expect(how).toBe(subject.plan.how[k]);
    });
  });

  test("the table is read back as the same stitches", () => {
    const subject = subjectFor(two);
    const [fromTable, fromJson] = [readStitches(makeStitchCsv(subject)), readStitches(makeStitchJson(subject))];
    expect(fromTable).toEqual(fromJson);
  });

  test("the drawing has a line a run, at real size, with the words escaped", () => {
    const svg = makeStitchSvg(subjectFor(disc()));
    expect(svg).toContain(`width="130mm" height="180mm" viewBox="-65 -90 130 180"`);
    expect(svg).toContain("<title>Disc &amp; &lt;ring&gt;</title>");
    expect(svg.match(/<path/g)).toHaveLength(1);
    const points = (/ d="M([^"]*)"/.exec(svg)?.[1] ?? "").split("L");
    expect(points).toHaveLength(subjectFor(disc()).plan.how.length - 1);
  });

  test.each(["stitch.json", "stitch.svg", "stitch.csv"])("out.%s is a format", (extension) => {
    expect(formatOf(`out.${extension}`)?.extension).toBe(extension);
  });

  test("the same design, the same bytes", () => {
    expect(makeStitchJson(subjectFor(two))).toBe(makeStitchJson(subjectFor(two)));
  });
});

describe("order", () => {
  const striped = (making: object = {}) =>
    designWith({
      parts: [
        {
          id: "a",
          motif: { kind: "disc", radius: 4 },
          rules: [{ kind: "ring", count: 8, radius: 30 }],
          finish: { fill: { kind: "cycle", by: "index", colors: ["#1E6F5C", "#C8442B"] } },
        },
        { id: "b", motif: { kind: "disc", radius: 6 }, finish: { fill: "#1E6F5C" } },
      ],
      making: { stitch: making },
    });

  test("threads are kept together where nothing lies over, and not where it does", () => {
    expect(subjectFor(striped()).plan.threads.map(({ color }) => color)).toEqual(["#1E6F5C", "#C8442B"]);
    const piled = designWith({
      parts: ["#1E6F5C", "#C8442B", "#1E6F5C"].map((fill, k) => ({
        ...{ id: `p${k}`, motif: { kind: "disc", radius: 10 }, at: { x: 4 * k } },
        finish: { fill },
      })),
    });
    expect(subjectFor(piled).plan.threads).toHaveLength(3);
  });

  test("an order set by hand is kept, and told where it costs changes", () => {
    const { plan } = subjectFor(striped({ order: ["b", "a"] }));
    expect(plan.spans[0]?.part).toBe("b");
    const own = subjectFor(striped({ order: ["a", "b"] })).plan;
    expect(own.threads.length).toBeGreaterThan(2);
    const changes = checkStitches(own).find(({ kind }) => kind === "changes");
    expect(changes).toMatchObject({ state: "doubtful", figures: { saved: own.threads.length - 2 } });
  });

  test("ties are three short stitches at each end of a run", () => {
    const stitches = (tie: boolean) => codes(subjectFor(disc({}, { tie })).plan, 0);
    expect(stitches(true) - stitches(false)).toBe(6);
  });

  test("made larger for the hoop, stitches stay as long as they are", () => {
    const [usual, large] = [1, 2].map((scale) => toldOfStitches(subjectFor(disc({}, { scale, tie: false })).plan));
    expect((large?.box?.right ?? 0) / (usual?.box?.right ?? 1)).toBeCloseTo(2, 1);
    expect((large?.stitches ?? 0) / (usual?.stitches ?? 1)).toBeGreaterThan(3);
  });
});

describe("checks", () => {
  const found = (design: Design, kind: string) =>
    checkStitches(subjectFor(design).plan).find((one) => one.kind === kind);

  test("an oval hoop is left where a rectangle is not", () => {
    const square = (shape: string) =>
      disc(
        { motif: { kind: "polygon", sides: 4, radius: 56, start: 45 } },
        { frame: { width: 90, height: 90, shape } },
      );
    expect(found(square("rectangle"), "hoop")?.state).toBe("passed");
    expect(found(square("oval"), "hoop")).toMatchObject({ state: "failed" });
  });

  test("needle points too close are told with their place", () => {
    const dense = found(disc({ stitch: { fill: { spacing: 0.1, length: 1 } } }), "dense");
    expect(dense?.state).toBe("doubtful");
    expect(dense?.figures["most"]).toBeGreaterThan(6);
    for (const { x, y } of dense?.places ?? []) expect(Math.hypot(x, y)).toBeLessThan(12);
    expect(found(disc(), "dense")?.state).toBe("passed");
  });

  test("rows closer than the machine can sew leave no stitch too short", () => {
    expect(found(disc({ stitch: { fill: { spacing: 0.2 } } }), "lengths")?.state).toBe("passed");
  });
});

describe("the stitcher", () => {
  const stitcher = DEVICES.find(({ kind }) => kind === "stitcher");
  if (!stitcher) throw new Error("there is no stitcher");
  const settingsOf = (data: object): object => {
    const read = stitcher.readSettings(data);
    if ("refusal" in read) throw new Error(read.refusal);
    return read.settings;
  };
  const sent = (text: string, settings: object = {}) =>
    stitcher.open(new TextEncoder().encode(text), settingsOf(settings), {
      solidEngine: () => Promise.reject(new Error()),
    });
  const file = (stitches: unknown, threads: unknown = [{ color: "#112233", name: "" }]) =>
    JSON.stringify({ format: "twin-petal-stitches/1", threads, stitches });

  test("sews every stitch of a file, and reports it", async () => {
    const subject = subjectFor(disc());
    for (const text of [makeStitchJson(subject), makeStitchCsv(subject)]) {
      const run = await sent(text);
      if ("refusal" in run) throw new Error(run.refusal);
      expect(run.steps).toBe(subject.plan.how.length);
      for (let k = 0; k < run.steps; k++) run.step(k);
      const told = toldOfStitches(subject.plan);
      expect(run.report()["stitches"]).toBe(told.stitches);
      expect(run.report()["thread"]).toBeCloseTo(told.thread[0] ?? 0, 2);
      expect(run.report()["seconds"]).toBeCloseTo(told.minutes * 60, 6);
    }
  });

  test.each([
    ["no file of stitches", "hello", "its first line must be"],
    ["half a file", `{"format":"twin-petal-stitches/1"`, "broken"],
    ["another format", JSON.stringify({ format: "other" }), "cannot be read"],
    [
      "a place that is none",
      file([
        [0, 0, 1],
        ["1", 0, 0],
      ]),
      "cannot be read",
    ],
    [
      "beyond the hoop",
      file([
        [0, 0, 1],
        [2, 0, 0],
        [80, 0, 1],
        [0, 0, 4],
      ]),
      "15.00 mm beyond the hoop of 130 × 180 mm",
    ],
    [
      "too long",
      file([
        [0, 0, 1],
        [9, 0, 0],
        [9, 0, 4],
      ]),
      "9.00 mm long",
    ],
    [
      "another code",
      file([
        [0, 0, 1],
        [1, 0, 7],
        [1, 0, 4],
      ]),
      "says 7",
    ],
    [
      "no end",
      file([
        [0, 0, 1],
        [1, 0, 0],
      ]),
      "does not end",
    ],
    [
      "goes on after the end",
      file([
        [0, 0, 1],
        [1, 0, 0],
        [1, 0, 4],
        [2, 0, 0],
      ]),
      "goes on after",
    ],
    [
      "nothing sewn",
      file([
        [0, 0, 1],
        [0, 0, 4],
      ]),
      "nothing to sew",
    ],
    [
      "sewn from nowhere",
      file([
        [0, 0, 0],
        [1, 0, 4],
      ]),
      "from nowhere",
    ],
    [
      "a thread too few",
      file([
        [0, 0, 1],
        [1, 0, 0],
        [2, 0, 3],
        [3, 0, 0],
        [3, 0, 4],
      ]),
      "asks for 2 threads",
    ],
    ["a table with a word for a number", "x,y,how,thread\n0,0,1,#112233\none,0,0,#112233", "Line 3"],
  ])("%s is refused in words", async (_, text, words) => {
    const run = await sent(text);
    expect("refusal" in run ? run.refusal : "taken").toContain(words);
  });

  test("whatever it is sent, it answers in words", async () => {
    const number = fc.oneof(fc.double(), fc.integer(), fc.constantFrom(0, 1, 3, 4));
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(number, number, number), { maxLength: 8 }),
        fc.string(),
        async (stitches, text) => {
          for (const sending of [file(stitches), text, file(text), `x,y,how,thread\n${text}`]) {
            const run = await sent(sending);
            if ("refusal" in run) expect(run.refusal.length).toBeGreaterThan(10);
            else expect(run.steps).toBeGreaterThan(0);
          }
        },
      ),
      { numRuns: members(40) },
    );
  });
});

describe("demo designs", () => {
  const demo = (name: string): Design => {
    const { design, problems } = readDesign(JSON.parse(readFileSync(`demo/${name}.petal.json`, "utf8")));
    if (!design) throw new Error(JSON.stringify(problems));
    return design;
  };

  test("the leaf ring is one run", () => {
    expect(toldOfStitches(subjectFor(demo("towel-leaf-ring")).plan)).toMatchObject({ jumps: 0, trims: 0, changes: 0 });
  });

  test.each(["reed-screen", "robe-badge"])(
    "%s: no run ends where the picture of its thread goes on to the next",
    (name) => {
      const subject = subjectFor(demo(name));
      for (const runs of runsByThread(makeStitchSvg(subject))) {
        const picture = darkPixels(runs);
        const pieces = runs.map((run) => picture.pieceAt(run));
        expect(new Set(pieces).size).toBe(runs.length);
      }
    },
  );

  test("seven blocks apart and their seven rings: six moves without sewing for each thread", () => {
    const told = toldOfStitches(subjectFor(demo("bath-mat-block")).plan);
    expect(told.jumps + told.trims).toBe(12);
  });

  test.each([
    // Every leaf begins where the others do; each block's hole is begun, covered and tied in one place.
    ["towel-leaf-ring", 1],
    ["bath-mat-block", 7],
    ["robe-badge", 0],
  ])("%s fits its hoop and passes every check, but for %i places where much thread comes together", (name, holes) => {
    const checks = checkStitches(subjectFor(demo(name)).plan);
    expect(checks.filter(({ kind, state }) => state !== "passed" && kind !== "dense")).toEqual([]);
    expect(checks.find(({ kind }) => kind === "dense")).toMatchObject({
      state: holes > 0 ? "doubtful" : "passed",
      figures: { holes },
    });
  });

  test.each(["season-pass-spiral", "locker-key-star", "lily"])(
    "%s, of which nothing is said, is sewn as it is painted",
    (name) => {
      const scene = buildScene(demo(name));
      const plan = planStitches(scene);
      expect(plan.how.length).toBeGreaterThan(1000);
      expect(new Set(plan.spans.map(({ part }) => part))).toEqual(
        new Set(scene.parts.filter(isMade).map(({ id }) => id)),
      );
    },
  );
});

const isMade = ({ visible, role, finish }: PartScene) =>
  visible && role === "show" && (finish.fill !== null || (finish.line?.width ?? 0) > 0);
