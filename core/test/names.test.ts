import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  COPY_NAMES,
  DESIGN,
  detached,
  FILLS,
  forgetPart,
  freshNumberName,
  JOINS,
  MOTIFS,
  needsOfPart,
  newNameTrouble,
  readDesign,
  replaceNumber,
  resolveDesign,
  rewriteDesign,
  RULES,
  toFile,
  usesOfNumbers,
  type Design,
  type FieldTable,
} from "../src/index";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

/** Every word a design file may hold in the place of a value: the most treacherous names a number can have. */
const WORDS = [...new Set(DESIGN.words())].filter((word) => /^[A-Za-z_][A-Za-z0-9_]*$/.test(word));

const withNumber = (name: string, parts: readonly object[]) =>
  designWith({
    numbers: [
      { name, value: 3 },
      { name: "other", value: `${name} * 2` },
    ],
    parts,
  });

/** Renames a number the way the desk does. */
function renamed(design: Design, name: string, to: string): Design {
  const numbers = design.numbers.map((number) => (number.name === name ? { ...number, name: to } : number));
  return replaceNumber({ ...design, numbers }, name, to);
}

/** What a design comes to, whatever its formulas are called. */
function meaningOf(design: Design): unknown {
  const { sheet, guides, parts, problems } = resolveDesign(design);
  return [
    sheet,
    guides,
    problems,
    parts.map(({ motif, motifAt, cutouts, rules, at, finish, join }) => [
      motif.key,
      motifAt,
      cutouts.map((cutout) => [cutout.motif.key, cutout.at]),
      rules.map(({ prepared }) => prepared.key).filter((key) => !key.startsWith('["vary"')),
      at,
      finish,
      join,
    ]),
  ];
}

/** A motif or a rule with a formula in every number of its table. */
function fullOf(kind: string, fields: FieldTable, name: string): object {
  const entries = Object.entries(fields).flatMap(([field, { type }]): [string, string][] => {
    if (type === "formula") return [[field, `t * ${name}`]];
    return type === "number" || type === "following" ? [[field, `${name} * 0 + 1`]] : [];
  });
  return { kind, ...Object.fromEntries(entries) };
}

const name = fc
  .constantFrom(...WORDS, "Z", "M", "k", "size2")
  .filter((word) => newNameTrouble(word, { numbers: [] }) === null);

describe("numbers keep to formulas", () => {
  test("a number called as a word of the format rewrites no word", () => {
    const grid = { kind: "grid", columns: "flip", alternate: { columns: "flip", rows: "turn" }, pitch: "flip + 9" };
    const design = withNumber("flip", [{ id: "a", motif: { kind: "disc", radius: "flip" }, rules: [grid] }]);
    const next = renamed(design, "flip", "folds");
    expect(next.parts[0]?.rules[0]).toMatchObject({
      columns: "folds",
      alternate: { columns: "flip", rows: "turn" },
      pitch: "folds + 9",
    });
    // And back again, to a name that is a word there.
    expect(renamed(next, "folds", "turn").parts[0]?.rules[0]).toMatchObject({
      columns: "turn",
      alternate: { columns: "flip", rows: "turn" },
    });
  });

  test("path data of an imported picture holds no names", () => {
    const shapes = [{ d: "M0 0L9 0L9 9Z", fill: "#102030" }];
    const picture = { kind: "svg", source: { width: 9, height: 9, shapes }, width: "Z * 2" };
    const design = withNumber("Z", [{ id: "a", motif: picture }]);
    for (const next of [renamed(design, "Z", "side"), replaceNumber(design, "Z", "3")]) {
      expect(next.parts[0]?.motif.source).toEqual({ width: 9, height: 9, shapes });
    }
    expect(renamed(design, "Z", "side").parts[0]?.motif.width).toBe("side * 2");
  });

  test("whatever number is renamed to whatever name, the design means the same: every motif, rule, fill and join", () => {
    fc.assert(
      fc.property(
        name,
        name,
        fc.constantFrom(...MOTIFS),
        fc.array(fc.constantFrom(...RULES), { maxLength: 3 }),
        fc.constantFrom(...JOINS),
        fc.constantFrom(...FILLS),
        (from, to, motif, rules, join, fill) => {
          fc.pre(from !== to && from !== "other" && to !== "other");
          const part = {
            id: "a",
            at: { x: from, turn: `${from} * 10` },
            motif: fullOf(motif.kind, motif.fields, from),
            cutouts: [{ kind: "disc", radius: from, at: { y: from } }],
            rules: rules.map(({ kind, fields }) => fullOf(kind, fields, from)),
            join: { mode: join.kind, gap: `${from} / 10`, offset: { by: from } },
            finish: {
              fill: fill.recolored(["#102030", "#405060"], {}),
              line: { width: from, dash: [from, 1], swell: [{ at: 0, width: from }] },
              opacity: `${from} / 4`,
              shadow: { blur: from },
            },
          };
          const { design } = readDesign({
            format: "twin-petal/1",
            numbers: [{ name: from, value: 3 }],
            parts: [part],
          });
          fc.pre(design !== null);
          const next = renamed(design, from, to);
          expect(meaningOf(next)).toEqual(meaningOf(design));
          expect(usesOfNumbers(next).has(from)).toBe(false);
          expect(usesOfNumbers(next).get(to)).toEqual(usesOfNumbers(design).get(from));
          // There and back is where it began.
          expect(toFile(renamed(next, to, from))).toEqual(toFile(design));
        },
      ),
      { numRuns: members(150) },
    );
  });

  test("what a copy knows of itself is no number, whatever numbers there are", () => {
    const part = { id: "a", motif: { kind: "disc" }, rules: [{ kind: "turn" }, { kind: "vary", size: "1 + x / k" }] };
    const design = designWith({
      numbers: [
        { name: "x", value: 2 },
        { name: "k", value: 9 },
      ],
      parts: [part],
    });
    expect(renamed(design, "x", "side").parts[0]?.rules[1]?.size).toBe("1 + x / k");
    expect(usesOfNumbers(design).get("x")).toBeUndefined();
    for (const known of COPY_NAMES) expect(newNameTrouble(known, { numbers: [] })).toContain("a copy");
  });

  test("no number is offered under a word of the format, of formulas or of copies, or a name that is taken", () => {
    fc.assert(
      fc.property(fc.oneof(fc.constantFrom(...WORDS, ...COPY_NAMES, "pi", "sin", ""), fc.string()), (label) => {
        const first = freshNumberName({ numbers: [] }, label);
        expect(WORDS).not.toContain(first);
        expect(newNameTrouble(first, { numbers: [] })).toBeNull();
        const second = freshNumberName({ numbers: [{ name: first, value: 1 }] }, label);
        expect(second).not.toBe(first);
        expect(newNameTrouble(second, { numbers: [{ name: first, value: 1 }] })).toBeNull();
      }),
    );
    expect(freshNumberName({ numbers: [] }, "inner radius")).toBe("innerRadius");
    expect(freshNumberName({ numbers: [] }, "turn")).toBe("turnValue");
  });
});

/** Parts that name each other in every way there is. */
const FOLLOWING = designWith({
  numbers: [
    { name: "a", value: 2 },
    { name: "b", value: "a * 3" },
    { name: "c", value: 9 },
  ],
  palette: [
    { name: "kelp", color: "#1E6F5C" },
    { name: "brass", color: "#9A6B16" },
  ],
  parts: [
    { id: "line", motif: { kind: "arc", radius: 30 } },
    { id: "disc", motif: { kind: "disc", radius: "b" }, finish: { fill: "palette:brass" } },
    { id: "words", motif: { kind: "text", text: "line", on: { part: "line" } } },
    { id: "whole", motif: { kind: "part", part: "disc" } },
    {
      id: "rules",
      name: "disc",
      motif: { kind: "compound", of: [{ kind: "part", part: "disc" }, { kind: "disc" }] },
      rules: [
        { kind: "along", path: "line" },
        { kind: "scatter", region: "disc", avoid: ["line", "words"] },
        { kind: "grid", fill: "disc" },
        { kind: "border", path: "line" },
        { kind: "between", to: { kind: "part", part: "disc" } },
      ],
      join: { cutBy: ["disc", "line"], inside: "disc" },
      finish: { fill: { kind: "cycle", colors: ["palette:kelp", "#FFFFFF"] } },
    },
  ],
});

describe("parts that follow others", () => {
  test("what has gone is named nowhere, and nothing else changes", () => {
    const without = forgetPart({ ...FOLLOWING, parts: FOLLOWING.parts.filter(({ id }) => id !== "disc") }, "disc");
    const rules = without.parts.find(({ id }) => id === "rules");
    expect(rules?.motif.of).toEqual([{ kind: "part" }, { kind: "disc" }]);
    expect(rules?.rules.map(({ on: _on, ...rest }) => rest)).toEqual([
      { kind: "along", path: "line" },
      { kind: "scatter", avoid: ["line", "words"] },
      { kind: "grid" },
      { kind: "border", path: "line" },
      { kind: "between", to: { kind: "part" } },
    ]);
    expect(rules?.join).toMatchObject({ cutBy: ["line"], inside: null });
    expect(rules?.name).toBe("disc");
    expect(without.parts.find(({ id }) => id === "whole")?.motif).toEqual({ kind: "part" });
    expect(without.parts.find(({ id }) => id === "words")).toEqual(FOLLOWING.parts.find(({ id }) => id === "words"));
    const lineless = forgetPart(FOLLOWING, "line");
    expect(lineless.parts.find(({ id }) => id === "words")?.motif).toEqual({ kind: "text", text: "line" });
    // Nothing names it any more, so taking it away leaves no problem.
    const { problems } = resolveDesign({ ...lineless, parts: lineless.parts.filter(({ id }) => id !== "line") });
    expect(problems).toEqual([]);
  });

  test("a walk that changes nothing answers the same object", () => {
    expect(rewriteDesign(FOLLOWING, { formula: (text) => text, part: (id) => id, color: (color) => color })).toBe(
      FOLLOWING,
    );
  });

  test("a part taken out brings along what it needs, and what that needs, and no more", () => {
    const rules = FOLLOWING.parts.find(({ id }) => id === "rules");
    expect(rules && needsOfPart(rules)).toEqual({
      numbers: [],
      colors: ["kelp"],
      parts: ["disc", "line", "words"],
    });
    const alone = detached(FOLLOWING, ["whole"]);
    expect(alone.parts.map(({ id }) => id)).toEqual(["disc", "whole"]);
    expect(alone.numbers.map((number) => number.name)).toEqual(["a", "b"]);
    expect(alone.palette.map((color) => color.name)).toEqual(["brass"]);
    expect(readDesign(toFile(alone)).problems).toEqual([]);
    for (const { id } of FOLLOWING.parts) expect(resolveDesign(detached(FOLLOWING, [id])).problems).toEqual([]);
  });
});
