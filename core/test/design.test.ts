import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { isSame, MOTIFS, parseDesign, readDesign, RULES, toFile, writeDesign } from "../src";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

const FILE = {
  format: "twin-petal/1",
  name: "Steam-vent plate",
  sheet: { width: "holes * 10", unit: "cm", ground: "palette:mist" },
  numbers: [
    { name: "holes", value: 24, min: 3, max: 60, step: 1 },
    { name: "pitch", value: "360 / holes" },
  ],
  palette: [{ name: "mist", color: "#F4F5F8" }],
  guides: [{ x: 0 }, { star: { points: 7, outer: 80, inner: 34 } }],
  parts: [
    {
      id: "vent",
      motif: { kind: "disc", radius: 6, at: { y: -4 } },
      rules: [
        { kind: "turn", count: "holes", angle: "pitch" },
        { kind: "step", count: 3, scale: { x: 0.9, y: 0.8 }, pivot: { box: { x: 0.25, y: 1 } }, on: false },
        { kind: "ring", radius: { x: 30, y: 20 } },
      ],
      finish: { fill: { kind: "cycle", colors: ["palette:mist", "#112233"] }, line: { width: 0.2 }, opacity: 0.5 },
    },
  ],
};

describe("the design file", () => {
  test("is unchanged by a round trip, and defaults are left out", () => {
    const design = designWith(FILE);
    expect(toFile(design)).toEqual(FILE);
    expect(parseDesign(writeDesign(design)).design).toEqual(design);
  });

  test("explicit defaults are read and left out on writing", () => {
    const { design, problems } = readDesign({
      format: "twin-petal/1",
      name: "Bare",
      notes: "",
      sheet: { width: 200, unit: "mm" },
      parts: [
        {
          id: "a",
          name: "a",
          visible: true,
          motif: { kind: "petal", length: 40, widest: 0.5 },
          rules: [{ kind: "ring", count: 9, radius: 50, face: "out", on: true }],
          cutouts: [],
          join: { mode: "apart", cutBy: [], inside: null },
          finish: { opacity: 1, line: null },
          solid: null,
        },
      ],
    });
    expect(problems).toEqual([]);
    expect(design && toFile(design)).toEqual({
      format: "twin-petal/1",
      name: "Bare",
      parts: [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "ring", count: 9 }] }],
    });
  });

  test("random motifs and rules survive a round trip", () => {
    const kinds = [...MOTIFS.map(({ kind }) => kind)];
    const part = fc.record({
      motif: fc.record({ kind: fc.constantFrom(...kinds), at: fc.record({ x: fc.integer({ min: -50, max: 50 }) }) }),
      rules: fc.array(
        fc.record(
          {
            kind: fc.constantFrom(...RULES.filter(({ fields }) => "count" in fields).map(({ kind }) => kind)),
            count: fc.integer({ min: 1, max: 40 }),
            on: fc.boolean(),
          },
          { requiredKeys: ["kind"] },
        ),
        { maxLength: 3 },
      ),
      visible: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(part, { maxLength: 3 }), (parts) => {
        const design = designWith({ parts: parts.map((entry, index) => ({ id: `p${index}`, ...entry })) });
        return isSame(parseDesign(writeDesign(design)).design, design);
      }),
      { numRuns: members(60) },
    );
  });

  test("six faults are six problems at six paths", () => {
    const { design, problems } = readDesign({
      format: "twin-petal/1",
      sheet: { width: -5 },
      numbers: [{ name: "a", value: "b" }],
      parts: [
        { id: "one", motif: { kind: "petal", length: "40 +" }, rules: [{ kind: "turn", count: 2.5 }] },
        { id: "two", motif: { kind: "blob" }, finish: { fill: "red" } },
      ],
    });
    expect(design).toBeNull();
    expect(problems.map(({ path }) => path).sort()).toEqual([
      "numbers[0].value",
      "parts[0].motif.length",
      "parts[0].rules[0].count",
      "parts[1].finish.fill",
      "parts[1].motif.kind",
      "sheet.width",
    ]);
    const messageAt = (path: string) => problems.find((problem) => problem.path === path)?.message;
    expect(messageAt("parts[0].rules[0].count")).toContain("must be a whole number from 1 to 200000");
    expect(messageAt("parts[0].motif.length")).toContain("breaks off");
    expect(messageAt("parts[1].motif.kind")).toContain("petal, leaf, drop");
  });

  test.each<[string, object, string, string]>([
    ["an unknown field", { colour: 1 }, "colour", "is not a field here"],
    ["a prototype key", JSON.parse('{"sheet": {"__proto__": {"width": 3}}}'), "sheet.__proto__", "is not a field here"],
    [
      "an unknown field of a motif",
      { parts: [{ id: "a", motif: { kind: "disc", size: 3 } }] },
      "parts[0].motif.size",
      "known are kind, at, radius",
    ],
    ["a missing id", { parts: [{ motif: { kind: "disc" } }] }, "parts[0].id", "is missing"],
    [
      "an id twice",
      { parts: ["a", "a"].map((id) => ({ id, motif: { kind: "disc" } })) },
      "parts[1].id",
      "is there already",
    ],
    ["a missing motif", { parts: [{ id: "a" }] }, "parts[0].motif", "must be an object with a kind"],
    [
      "no palette colour of that name",
      { parts: [{ id: "a", motif: { kind: "disc" }, finish: { fill: "palette:rust" } }] },
      "parts[0].finish.fill",
      "no colour called “rust”",
    ],
    [
      "a count out of range by formula",
      {
        numbers: [{ name: "n", value: 5 }],
        parts: [{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "turn", count: "n / 2" }] }],
      },
      "parts[0].rules[0].count",
      "“n / 2” gives 2.5",
    ],
    [
      "a hole wider than its ring",
      { parts: [{ id: "a", motif: { kind: "ring", outer: 5, inner: 6 } }] },
      "parts[0].motif.inner",
      "must be less than outer",
    ],
    [
      "a join there is not",
      { parts: [{ id: "a", motif: { kind: "disc" }, join: { mode: "knit" } }] },
      "parts[0].join.mode",
      "apart",
    ],
    [
      "too many copies",
      {
        parts: [
          {
            id: "a",
            motif: { kind: "disc" },
            rules: [
              { kind: "turn", count: 500 },
              { kind: "ring", count: 401 },
            ],
          },
        ],
      },
      "parts[0].rules[0].count",
      "200,500 copies",
    ],
    [
      "too many rules",
      {
        parts: [
          { id: "a", motif: { kind: "disc" }, rules: Array.from({ length: 65 }, () => ({ kind: "turn", count: 1 })) },
        ],
      },
      "parts[0].rules",
      "at most 64",
    ],
    [
      "rings past the centre",
      { parts: [{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "ring", radius: 10, rings: 3, gap: -6 }] }] },
      "parts[0].rules[0].gap",
      "more than -5",
    ],
    [
      "a name twice",
      {
        numbers: [
          { name: "a", value: 1 },
          { name: "a", value: 2 },
        ],
      },
      "numbers[1].name",
      "is there already",
    ],
    ["a reserved name", { numbers: [{ name: "sqrt", value: 1 }] }, "numbers[0].name", "already means"],
    [
      "a half pivot",
      { parts: [{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "turn", pivot: { x: 1 } }] }] },
      "parts[0].rules[0].pivot.y",
      "is missing",
    ],
    ["an infinite number", { sheet: { height: Infinity } }, "sheet.height", "must be a number from"],
    ["parts that are no list", { parts: "many" }, "parts", "must be an array"],
  ])("%s is told at its path", (_, content, path, message) => {
    const { problems } = readDesign({ format: "twin-petal/1", ...content });
    expect(problems).toEqual([{ path, message: expect.stringContaining(message) }]);
  });

  test.each([
    ["not json", "is no JSON"],
    ["[]", "does not say"],
    ['{"format": "twin-petal/9"}', "must be one of twin-petal/1"],
    ['{"hello": 1}', "does not say"],
  ])("%s is refused in words", (text, message) => {
    expect(parseDesign(text).problems[0]?.message).toContain(message);
  });
});
