import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  areaOfPath,
  buildScene,
  bundleOf,
  differencesBetween,
  membersOfGroups,
  readDesign,
  SceneBuilder,
  takeIn,
  toFile,
  withDifference,
  type Design,
} from "../src";
import { outlinesOf, partOf } from "./scenes";
import { designWith } from "./testDesign";
import { withGeometryEngine } from "./prepared";

beforeAll(withGeometryEngine);

const disc = (id: string, x: number, more: object = {}) => ({
  id,
  motif: { kind: "disc", radius: 3 },
  at: { x },
  finish: { fill: "#C8442B" },
  ...more,
});

/** A blossom of two parts within a bouquet of three, used whole by a part of its own. */
const BOUQUET = {
  groups: [
    { id: "bouquet", name: "Bouquet" },
    { id: "blossom", name: "Blossom", within: "bouquet" },
  ],
  parts: [
    disc("heart", 10, { group: "blossom" }),
    disc("petal", 20, { group: "blossom", finish: { fill: "#2B2140" } }),
    disc("stem", 40, { group: "bouquet" }),
    { id: "whole", motif: { kind: "part", part: "bouquet" }, rules: [{ kind: "turn", count: 4 }] },
  ],
};

const problemsOf = (content: object) => readDesign({ format: "twin-petal/1", ...content }).problems;

describe("groups", () => {
  test("hold their parts and those of the groups within them, bottom first", () => {
    expect([...membersOfGroups(designWith(BOUQUET))]).toEqual([
      ["bouquet", ["heart", "petal", "stem"]],
      ["blossom", ["heart", "petal"]],
    ]);
  });

  test("a group is a motif as a whole, about the origin of its lowest part, with the paint of each part", () => {
    const { geometry } = partOf(designWith(BOUQUET), "whole");
    expect(geometry.placements.count).toBe(4);
    const pieces = geometry.shapes[0]?.pieces ?? [];
    expect(pieces.map(({ fill }) => fill)).toEqual([{ own: "#C8442B" }, { own: "#2B2140" }, { own: "#C8442B" }]);
    expect(pieces.map(({ at }) => at?.[4])).toEqual([0, 10, 30]);
    // As it stands on the sheet, on demand.
    const [, , , whole] = BOUQUET.parts;
    const standing = {
      ...BOUQUET,
      parts: [...BOUQUET.parts.slice(0, 3), { ...whole, motif: { kind: "part", part: "bouquet", stands: "sheet" } }],
    };
    const there = partOf(designWith(standing), "whole").geometry.shapes[0]?.pieces ?? [];
    expect(there.map(({ at }) => at?.[4])).toEqual([10, 20, 40]);
  });

  test("a group that is a tool hides its parts and stays a motif; what is hidden or a tool of its own is left out", () => {
    const tool = { ...BOUQUET, groups: [{ ...BOUQUET.groups[0], role: "tool" }, BOUQUET.groups[1]] };
    const builder = new SceneBuilder();
    const piecesIn = (design: Design) => {
      const whole = builder.build(design).parts.find(({ id }) => id === "whole");
      return whole?.geometry.shapes[0]?.pieces?.length;
    };
    const roles = buildScene(designWith(tool)).parts.map(({ role }) => role);
    expect(roles).toEqual(["tool", "tool", "tool", "show"]);
    expect(piecesIn(designWith(tool))).toBe(3);
    const changed = (more: object) =>
      designWith({ ...tool, parts: tool.parts.map((part) => (part.id === "petal" ? { ...part, ...more } : part)) });
    // It follows at once: nothing of before is kept.
    expect(piecesIn(changed({ visible: false }))).toBe(2);
    expect(piecesIn(changed({ role: "tool" }))).toBe(2);
    expect(piecesIn(designWith(tool))).toBe(3);
  });

  test("a group cuts and keeps as its parts do", () => {
    const cut = (by: string[]) =>
      designWith({
        groups: BOUQUET.groups,
        parts: [
          ...BOUQUET.parts.slice(0, 3),
          { id: "plate", motif: { kind: "rectangle", width: 100, height: 20, at: { y: 10 } }, join: { cutBy: by } },
        ],
      });
    const areaOf = (design: Design) =>
      outlinesOf({ ...partOf(design, "plate") }).reduce((sum, path) => sum + Math.abs(areaOfPath(path)), 0);
    expect(areaOf(cut(["bouquet"]))).toBeCloseTo(2000 - 3 * Math.PI * 9, 0);
    expect(areaOf(cut(["bouquet"]))).toBeCloseTo(areaOf(cut(["heart", "petal", "stem"])), 6);
    expect(areaOf(cut(["blossom"]))).toBeCloseTo(areaOf(cut(["heart", "petal"])), 6);
  });

  test("what cannot be is told at its place", () => {
    const [a, b] = [disc("a", 0), disc("b", 0)];
    expect(problemsOf({ parts: [{ ...a, group: "gone" }] })[0]).toMatchObject({ path: "parts[0].group" });
    expect(problemsOf({ groups: [{ id: "g", within: "gone" }], parts: [] })[0]).toMatchObject({
      path: "groups[0].within",
    });
    expect(problemsOf({ groups: [{ id: "a" }], parts: [a] })[0]).toMatchObject({ path: "groups[0].id" });
    const ring = [
      { id: "g", within: "h" },
      { id: "h", within: "g" },
    ];
    expect(problemsOf({ groups: ring, parts: [{ ...a, group: "g" }] }).map(({ path }) => path)).toEqual([
      "groups[0].within",
      "groups[1].within",
    ]);
    // A part cannot be made of the group it is in.
    const own = { id: "c", motif: { kind: "part", part: "g" }, group: "g" };
    expect(problemsOf({ groups: [{ id: "g" }], parts: [b, own] })[0]?.message).toContain("in a circle");
  });

  test("a group goes along whole where parts are taken into another design, under ids that do not clash", () => {
    const own = designWith({
      groups: [{ id: "bouquet", name: "Mine" }],
      parts: [disc("petal", 0, { group: "bouquet" })],
    });
    const bundle = bundleOf(designWith(BOUQUET), ["whole"], "Whole");
    expect(bundle.groups.map(({ id }) => id)).toEqual(["bouquet", "blossom"]);
    const taken = takeIn(own, bundle);
    if ("trouble" in taken) throw new Error(taken.trouble);
    expect(readDesign(toFile(taken.design)).problems).toEqual([]);
    expect(taken.design.groups.map(({ id, within }) => [id, within])).toEqual([
      ["bouquet", ""],
      ["bouquet-2", ""],
      ["blossom", "bouquet-2"],
    ]);
    expect(taken.design.parts.at(-1)?.motif.part).toBe("bouquet-2");
    expect(taken.design.parts.map(({ group }) => group)).toEqual(["bouquet", "blossom", "blossom", "bouquet-2", ""]);
    // Within the same design the group is there already.
    const again = takeIn(designWith(BOUQUET), bundle);
    if ("trouble" in again) throw new Error(again.trouble);
    expect(again.parts).toEqual(["whole-2"]);
    // One part of a group is in none elsewhere.
    expect(bundleOf(designWith(BOUQUET), ["heart"], "Heart").parts[0]?.group).toBe("");
  });

  test("however parts are grouped, they look the same, and designs differ by what was grouped", () => {
    const ids = ["g", "h", "k"];
    const grouping = fc.record({
      within: fc.tuple(fc.constant(""), fc.constantFrom("", "g"), fc.constantFrom("", "g", "h")),
      of: fc.array(fc.constantFrom("", ...ids), { minLength: 5, maxLength: 5 }),
    });
    const laid = ({ within, of }: { within: readonly string[]; of: readonly string[] }) =>
      designWith({
        groups: ids.map((id, index) => ({ id, name: id, within: within[index] })),
        parts: of.map((group, index) => disc(`p${index}`, index * 7, { group })),
      });
    const plain = laid({ within: ["", "", ""], of: ["", "", "", "", ""] });
    fc.assert(
      fc.property(grouping, grouping, (one, other) => {
        const [from, to] = [laid(one), laid(other)];
        expect(buildScene(from).parts.map(outlinesOf)).toEqual(buildScene(plain).parts.map(outlinesOf));
        expect(readDesign(toFile(from)).design).toEqual(from);
        expect(differencesBetween(from, to).reduce(withDifference, from)).toEqual(to);
      }),
    );
  });
});
