import { describe, expect, test } from "@jest/globals";
import { readDesign, resolveDesign, rewriteDesign, toFile, type Design } from "@twin-petal/core";
import { applyEdit } from "@/store/edit";
import { numberUses, removeNumber, renameNumber, setRange } from "@/store/edits/numbers";

function designOf(content: object): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", ...content });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

/** All that a design comes to, as far as numbers and colours go. */
function meaningOf(design: Design): unknown {
  const { sheet, guides, parts, problems } = resolveDesign(design);
  return {
    sheet,
    guides,
    problems,
    parts: parts.map(({ motif, motifAt, cutouts, rules, at, finish, join }) => ({
      motif: motif.key,
      cutouts: cutouts.map((cutout) => [cutout.motif.key, cutout.at]),
      // Formulas over copies keep their words; what they come to is looked at by itself.
      rules: rules.map(({ prepared }) => prepared.key).filter((key) => !key.startsWith('["vary"')),
      places: [motifAt, at],
      finish,
      join,
    })),
  };
}

const formulasIn = (design: Design) => {
  const found: string[] = [];
  rewriteDesign(design, {
    formula(formula, path) {
      found.push(`${path.slice(path.lastIndexOf(".") + 1)}: ${formula}`);
      return formula;
    },
  });
  return found;
};

/** A formula at every kind of place, and words that are the names of numbers. */
const EVERYWHERE = designOf({
  sheet: {
    width: "k * 40",
    ground: {
      kind: "linear",
      angle: "k",
      stops: [
        { at: "k / 10", color: "#000000" },
        { at: 1, color: "#FFFFFF" },
      ],
    },
  },
  numbers: [
    { name: "k", value: 4 },
    { name: "copy", value: 3 },
    { name: "miter", value: 2 },
    { name: "whole", value: 1 },
    { name: "half", value: "k / 2" },
  ],
  guides: [{ x: "k" }, { star: { points: "k + 3", outer: 40, inner: 20 } }],
  parts: [
    {
      id: "a",
      name: "k",
      at: { x: "k", turn: "k * 2" },
      motif: { kind: "text", text: "k", size: "k * 3", spacing: "k / 4", raise: ["k", 0], at: { y: "-k" } },
      cutouts: [{ kind: "disc", radius: "k", at: { x: "k" } }],
      rules: [
        { kind: "ring", count: "k", radius: { x: "k * 9", y: 30 }, face: "in" },
        { kind: "step", count: 3, pivot: { x: "k", y: 0 }, move: { x: "k", y: 0 } },
        { kind: "vary", paint: "t * k", turn: "k * i" },
        { kind: "between", to: { kind: "star", points: "k + 2" }, count: 3 },
      ],
      join: { offset: { by: "k / 2", times: 2, corners: "miter" }, gap: "k / 9", cutBy: ["k"] },
      finish: {
        fill: {
          kind: "radial",
          radius: "k / 4",
          over: "whole",
          stops: [
            { at: 0, color: "#000000" },
            { at: "k / 4", color: "#FFFFFF" },
          ],
        },
        line: {
          width: "k / 8",
          dash: ["k", 1],
          swell: [{ at: 0, width: "k / 4" }],
          place: "center",
          paint: { kind: "pools", points: [{ x: "k / 8", y: 0, color: "#102030", reach: "k / 3" }] },
        },
        shadow: { blur: "k" },
        grain: { amount: "k / 9" },
      },
    },
    { id: "k", motif: { kind: "walk", steps: [{ times: "k", steps: [{ go: "k * 2" }, { turn: "360 / k" }] }] } },
    {
      id: "b",
      motif: {
        kind: "compound",
        op: "union",
        of: [
          { kind: "disc", radius: "k" },
          { kind: "petal", length: "k * 9" },
        ],
      },
    },
  ],
});

describe("formulas in a design", () => {
  test("a number renamed means the same everywhere: every formula goes along, no word does", () => {
    const before = meaningOf(EVERYWHERE);
    expect(resolveDesign(EVERYWHERE).problems).toEqual([]);
    for (const name of ["k", "copy", "miter", "whole", "half"]) {
      const renamed = applyEdit(EVERYWHERE, renameNumber(name, "another"));
      expect(renamed.numbers.map((number) => number.name)).toContain("another");
      expect(meaningOf(renamed)).toEqual(before);
    }
    expect(formulasIn(applyEdit(EVERYWHERE, renameNumber("k", "fold")))).toEqual(
      expect.arrayContaining(["paint: t * fold", "turn: fold * i"]),
    );
    expect(
      formulasIn(applyEdit(EVERYWHERE, renameNumber("k", "fold"))).filter((formula) => /\bk\b/.test(formula)),
    ).toEqual([]);
  });

  test("a number removed leaves its value in its place", () => {
    expect(meaningOf(applyEdit(EVERYWHERE, removeNumber(EVERYWHERE, "k")))).toEqual(meaningOf(EVERYWHERE));
    const below = designOf({
      numbers: [{ name: "n", value: -3 }],
      parts: [{ id: "a", at: { x: "10 - n" }, motif: { kind: "disc" } }],
    });
    expect(applyEdit(below, removeNumber(below, "n")).parts[0]?.at.x).toBe("10 - (-3)");
  });

  test("where a number is used is told by part and field", () => {
    const uses = numberUses(EVERYWHERE);
    expect(uses.get("k")).toEqual(
      expect.arrayContaining([
        "the sheet’s width",
        "the sheet’s angle",
        "the number half, its value",
        "k: motif’s spacing",
        "k: cutout’s radius",
        "k: ring’s count",
        "k: vary’s paint",
        "k: between’s points",
        "k: radius",
        "k: reach",
        "b: motif’s length",
      ]),
    );
    for (const word of ["copy", "miter", "whole", "half"]) expect(uses.has(word)).toBe(false);
  });
});

describe("a number's range", () => {
  const design = designOf({ numbers: [{ name: "n", value: 5, min: 1, max: 9 }] });

  test("is set end by end, and taken away", () => {
    const set = applyEdit(design, setRange("n", { max: 20, step: 0.5 }));
    expect(set.numbers).toEqual([{ name: "n", value: 5, min: 1, max: 20, step: 0.5 }]);
    const bare = applyEdit(set, setRange("n", { min: undefined, max: undefined, step: undefined }));
    expect(toFile(bare)).toMatchObject({ numbers: [{ name: "n", value: 5 }] });
    expect(Object.keys(bare.numbers[0] ?? {})).toEqual(["name", "value"]);
    expect(applyEdit(design, setRange("gone", { min: 2 }))).toBe(design);
  });
});
