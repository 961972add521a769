import { PNG } from "pngjs";
import { beforeAll, describe, expect, test } from "@jest/globals";
import { makePdf, subjectOf, type Design } from "../src";
import { svgOf, pngOf } from "./making";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { designWith } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withRasteriser()]);
});

/** Ids of which one begins with the other, or that look like what files call outlines, paints and groups. */
const PAIRS: readonly (readonly [string, string])[] = [
  ["disc", "disc-2"],
  ["disc", "disc-2-2"],
  ["a", "motif-a"],
  ["a", "part-a"],
  ["a", "fill-a"],
  ["a", "stroke-a-1"],
  ["motif", "motif-motif"],
  ["1", "1-1"],
];

const STOPS = [
  { at: 0, color: "#C8442B" },
  { at: 1, color: "#F1F3F4" },
];

/** Two parts of several outlines and gradients each, beside each other; one of them larger. */
const twoParts = (one: string, other: string): Design => {
  const rules = [{ kind: "ring", count: 3, radius: 22 }];
  const finish = {
    fill: { kind: "linear", stops: STOPS },
    line: { width: 1, paint: { kind: "radial", stops: STOPS, over: "whole" } },
  };
  const part = { motif: { kind: "disc", radius: 22 }, rules, join: { mode: "faces" }, finish };
  return designWith({
    parts: [
      { id: one, ...part },
      { id: other, ...part, at: { x: 60, size: 0.6 } },
    ],
  });
};

const PLAIN = twoParts("first", "second");
const pixelsOf = (design: Design) => PNG.sync.read(Buffer.from(pngOf(design, 120))).data;

describe.each(PAIRS)("parts called %s and %s", (one, other) => {
  const design = twoParts(one, other);

  test("no id stands twice in the SVG, and every reference is to one that is there", () => {
    const svg = svgOf(design);
    const ids = [...svg.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const references = [...svg.matchAll(/(?:href="#|url\(#)([^")]+)/g)].map(([, id]) => id);
    expect(references.length).toBeGreaterThan(10);
    for (const reference of references) expect(ids).toContain(reference);
  });

  test("the picture is that of parts called otherwise", () => {
    expect(pixelsOf(design).equals(pixelsOf(PLAIN))).toBe(true);
  });

  test("the PDF has as many outlines and paints as that of parts called otherwise", async () => {
    const [made, expected] = await Promise.all([makePdf(subjectOf(design)), makePdf(subjectOf(PLAIN))]);
    expect(Math.abs(made.length - expected.length)).toBeLessThan(200);
  });
});
