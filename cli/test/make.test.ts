import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, test } from "@jest/globals";

const folder = mkdtempSync(join(tmpdir(), "twin-petal-make-"));

function make(...words: string[]) {
  const { status, stderr } = spawnSync(process.execPath, ["cli/dist/make.js", ...words], { encoding: "utf8" });
  return { status, stderr };
}

/** The same without what is said of how far it is, which a busy machine may be asked for at any time. */
function made(...words: string[]) {
  const { status, stderr } = make(...words);
  return { status, stderr: stderr.replaceAll(/^.*: \d+ s, .*\n/gm, "") };
}

function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === "string" ? content : JSON.stringify(content));
  return path;
}

const ROSETTE = {
  format: "twin-petal/1",
  name: "Rosette",
  sheet: { width: 100, height: 50 },
  parts: [
    { id: "petals", motif: { kind: "petal" }, rules: [{ kind: "turn", count: 16 }] },
    { id: "eye", motif: { kind: "disc", radius: 4 } },
  ],
};

describe("the command line", () => {
  const input = file("rosette.petal.json", ROSETTE);

  test("makes every format, and an SVG becomes its design again", () => {
    for (const ending of ["svg", "png", "scene.json", "petal.json"]) {
      expect(made(input, join(folder, `out.${ending}`))).toEqual({ status: 0, stderr: "" });
    }
    expect(make(join(folder, "out.svg"), join(folder, "again.petal.json")).status).toBe(0);
    expect(JSON.parse(readFileSync(join(folder, "again.petal.json"), "utf8"))).toEqual(ROSETTE);
    const png = readFileSync(join(folder, "out.png"));
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([1181, 591]);
  });

  test("makes one part alone, and a picture at a chosen resolution", () => {
    make(input, join(folder, "eye.scene.json"), "--part", "eye");
    expect(JSON.parse(readFileSync(join(folder, "eye.scene.json"), "utf8")).parts).toHaveLength(1);
    make(input, join(folder, "small.png"), "--dpi", "25.4");
    expect(readFileSync(join(folder, "small.png")).readUInt32BE(16)).toBe(100);
  });

  test("what is not as it should be best is said of a file that is made nevertheless", () => {
    const design = file("wide.petal.json", {
      format: "twin-petal/1",
      parts: [{ id: "a", motif: { kind: "disc", radius: 70 } }],
      making: { cut: { kerf: 0, frame: { width: 100, height: 200 } } },
    });
    const output = join(folder, "wide.gcode");
    const words =
      "the cut reaches 20 mm beyond the frame of 100 × 200 mm; make the frame larger, or the design smaller";
    expect(made(design, output)).toEqual({ status: 0, stderr: `${output}: ${words}\n` });
    expect(existsSync(output)).toBe(true);
  });

  test("a design with six faults gets six lines, exit 2, and nothing is written", () => {
    const faulty = file("faulty.petal.json", {
      format: "twin-petal/1",
      sheet: { width: -5 },
      numbers: [{ name: "a", value: "1 / 0" }],
      parts: [
        { id: "one", motif: { kind: "petal", length: "40 +" }, rules: [{ kind: "turn", count: 2.5 }] },
        { id: "two", motif: { kind: "blob" }, finish: { fill: "red" } },
      ],
    });
    const before = readdirSync(folder);
    const { status, stderr } = make(faulty, join(folder, "faulty.svg"));
    expect(status).toBe(2);
    const paths = stderr
      .trim()
      .split("\n")
      .map((line) => line.split(":")[0]);
    expect(paths.sort()).toEqual([
      "numbers[0].value",
      "parts[0].motif.length",
      "parts[0].rules[0].count",
      "parts[1].finish.fill",
      "parts[1].motif.kind",
      "sheet.width",
    ]);
    expect(readdirSync(folder)).toEqual(before);
  });

  test.each([
    ["no words", [], 1, "npm run -s make"],
    ["an unknown format", [input, "out.gif"], 1, "no such format"],
    ["an unknown option", [input, "out.svg", "--loud"], 1, "--loud"],
    ["a missing file", ["nowhere.petal.json", "out.svg"], 1, "cannot be read"],
    ["a folder that is not there", [input, "/nowhere/out.svg"], 1, "cannot be written"],
    ["an unknown part", [input, "out.svg", "--part", "leaf"], 2, "it has petals, eye"],
    ["a useless resolution", [input, "out.png", "--dpi", "0"], 1, "greater than 0"],
    ["a file that is no design", [file("text.petal.json", "hello"), "out.svg"], 2, "not a design file"],
    ["an SVG of another program", [file("other.svg", "<svg/>"), "out.svg"], 2, "carries no design"],
  ])("%s is told in words", (_, words, code, message) => {
    const { status, stderr } = make(...words);
    expect(status).toBe(code);
    expect(stderr).toContain(message);
    expect(existsSync("out.svg")).toBe(false);
  });
});

describe("what takes its time", () => {
  /** A few seconds of work: hundreds of discs that lie over each other. */
  const heavy = file("heavy.petal.json", {
    format: "twin-petal/1",
    parts: [
      {
        id: "discs",
        name: "Discs",
        motif: { kind: "disc", radius: 8 },
        rules: [{ kind: "grid", columns: 24, rows: 16, pitch: { x: 4, y: 4 } }],
        join: { mode: "faces" },
      },
    ],
  });
  const beside = () => readdirSync(folder).filter((name) => name.startsWith("late"));

  test("is stopped when its time is over, told, and leaves nothing behind", () => {
    const { status, stderr } = make(heavy, join(folder, "late.svg"), "--seconds", "1");
    expect([status, stderr]).toEqual([1, `${join(folder, "late.svg")}: stopped after 1 s; nothing was written\n`]);
    expect(beside()).toEqual([]);
  });

  test("within its time is made as without one, and says after a while what it does", () => {
    const { status, stderr } = make(heavy, join(folder, "late.scene.json"), "--seconds=120");
    expect(status).toBe(0);
    expect(stderr).toMatch(/late\.scene\.json: \d+ s, writing\n/);
    expect(beside()).toEqual(["late.scene.json"]);
    expect(made(input(), join(folder, "soon.svg"), "--seconds", "60")).toEqual({ status: 0, stderr: "" });
    expect(make(input(), join(folder, "soon.svg"), "--seconds", "none").status).toBe(1);
  });

  test("too much of it is refused at the field that makes it so much", () => {
    const parts = [
      {
        id: "discs",
        motif: { kind: "disc", radius: 8 },
        rules: [{ kind: "grid", columns: 200, rows: 100, pitch: { x: 1, y: 1 } }],
        join: { mode: "evenOdd" },
      },
    ];
    const { status, stderr } = make(
      file("much.petal.json", { format: "twin-petal/1", parts }),
      join(folder, "late.svg"),
    );
    expect(status).toBe(2);
    expect(stderr).toMatch(/^parts\[0\]\.rules\[0\]\.columns: takes about \d+ (seconds|minutes) or more/);
  });
});

function input(): string {
  return file("rosette.petal.json", ROSETTE);
}
