import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, bundleOf, readDesign, takeIn, toFile, type Design } from "../src";
import { DEMO } from "./demoDesigns";
import { designWith } from "./testDesign";
import { withFonts, withGeometryEngine } from "./prepared";
import { outlinesOf } from "./scenes";
import { members } from "./randomMembers";

beforeAll(() => Promise.all([withGeometryEngine(), withFonts()]));

function taken(own: Design, other: Design): { design: Design; parts: readonly string[] } {
  const whole = takeIn(own, other);
  if ("trouble" in whole) throw new Error(whole.trouble);
  // What comes of it is a design file like any other.
  const { design, problems } = readDesign(toFile(whole.design));
  if (!design) throw new Error(JSON.stringify(problems));
  return { ...whole, design };
}

describe("parts taken into another design", () => {
  test("a part that others follow is shared where it is here already; one that differs comes along", () => {
    const way = { id: "way", name: "Way", motif: { kind: "arc" } };
    const leaf = {
      id: "leaf",
      name: "Leaf",
      motif: { kind: "leaf" },
      rules: [{ kind: "along", path: "way", count: 9 }],
    };
    const own = designWith({ parts: [way, leaf] });
    const again = taken(own, bundleOf(own, ["leaf"], "Leaf"));
    expect(again.parts).toEqual(["leaf-2"]);
    expect(again.design.parts.map(({ id, rules: [rule] }) => [id, rule?.path])).toEqual([
      ["way", undefined],
      ["leaf", "way"],
      ["leaf-2", "way"],
    ]);
    const bent = designWith({ parts: [{ ...way, motif: { kind: "arc", radius: 12 } }, leaf] });
    expect(taken(bent, bundleOf(own, ["leaf"], "Leaf")).parts).toEqual(["way-2", "leaf-2"]);
    // What nothing follows is doubled: it was copied for its own sake.
    expect(taken(own, bundleOf(own, ["way"], "Way")).parts).toEqual(["way-2"]);
  });

  test("numbers and colours that clash get names of their own, and so does what is worked out of them", () => {
    const own = designWith({
      numbers: [
        { name: "n", value: 5 },
        { name: "twice", value: "n * 2" },
        { name: "same", value: 7 },
      ],
      palette: [
        { name: "ink", color: "#000000" },
        { name: "paper", color: "#FFFFFF" },
      ],
      parts: [{ id: "a", motif: { kind: "disc" } }],
    });
    const other = designWith({
      numbers: [
        { name: "n", value: 9 },
        { name: "twice", value: "n * 2" },
        { name: "same", value: 7 },
      ],
      palette: [
        { name: "ink", color: "#C8442B" },
        { name: "paper", color: "#FFFFFF" },
      ],
      parts: [
        { id: "a", name: "Leaf", motif: { kind: "disc", radius: "twice" }, finish: { fill: "palette:ink" } },
        {
          id: "b",
          motif: { kind: "part", part: "a" },
          rules: [{ kind: "ring", count: "same" }],
          finish: { fill: "palette:paper" },
        },
      ],
    });
    const { design, parts } = taken(own, other);
    expect(parts).toEqual(["a-2", "b"]);
    expect(toFile(design)).toMatchObject({
      numbers: [
        { name: "n" },
        { name: "twice" },
        { name: "same" },
        { name: "n2", value: 9 },
        { name: "twice2", value: "n2 * 2" },
      ],
      palette: [{ name: "ink" }, { name: "paper" }, { name: "ink 2", color: "#C8442B" }],
      parts: [
        { id: "a" },
        { id: "a-2", name: "Leaf", motif: { radius: "twice2" }, finish: { fill: "palette:ink 2" } },
        { id: "b", motif: { part: "a-2" }, rules: [{ count: "same" }], finish: { fill: "palette:paper" } },
      ],
    });
  });

  test("of any design shipped, taken into any other or itself, they look as they did, and nothing there changes", () => {
    const light = DEMO.filter(({ parts }) => parts.every(({ join }) => join.mode === "apart" && !join.trimToWedge));
    expect(light.length).toBeGreaterThan(4);
    fc.assert(
      fc.property(fc.constantFrom(...light), fc.constantFrom(...light), fc.nat(), (own, other, choice) => {
        const id = other.parts[choice % other.parts.length]?.id ?? "";
        const bundle = bundleOf(other, [id], "Bundle");
        // It is a design file by itself.
        expect(readDesign(toFile(bundle)).problems).toEqual([]);
        const { design, parts } = taken(own, bundle);
        const [before, alone, after] = [
          buildScene(own),
          buildScene({ ...bundle, sheet: own.sheet }),
          buildScene(design),
        ] as const;
        expect(after.problems).toEqual([]);
        // All it follows is here already, where it came from.
        const brought = alone.parts.filter((part) => own !== other || part.id === id);
        const all = [...before.parts, ...brought];
        expect(after.parts.map(({ finish }) => finish)).toEqual(all.map(({ finish }) => finish));
        expect(after.parts.map(outlinesOf)).toEqual(all.map(outlinesOf));
        expect(parts).toHaveLength(brought.length);
      }),
      { numRuns: members(20) },
    );
  });

  test("what would be too much is told", () => {
    const many = designWith({ numbers: Array.from({ length: 500 }, (_, k) => ({ name: `n${k}`, value: k })) });
    const one = designWith({ numbers: [{ name: "x", value: 1 }] });
    expect(takeIn(many, one)).toEqual({ trouble: "a design has at most 500 named numbers" });
  });
});
