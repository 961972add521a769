import { readdirSync, readFileSync } from "node:fs";
import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import {
  boxOfGeometry,
  buildScene,
  EMPTY_BOX,
  hasSolids,
  joinBoxes,
  makeFile,
  formatOf,
  onSheet,
  parseDesign,
  readDesign,
  toFile,
  usesOfNumbers,
  type Box,
  type Design,
} from "../src";
import { TEST_HOST, withFonts, withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";

beforeAll(() => Promise.all([withGeometryEngine(), withFonts()]));

const STARTERS = readdirSync("starters").map((file): [string, Design] => {
  const { design, problems } = parseDesign(readFileSync(`starters/${file}`, "utf8"));
  if (!design) throw new Error(`${file}: ${JSON.stringify(problems)}`);
  return [file.replace(".petal.json", ""), design];
});

function boxOf(design: Design): Box {
  const { parts, problems } = buildScene(design);
  expect(problems).toEqual([]);
  const shown = parts.filter(({ role, visible }) => visible && role === "show");
  return shown.reduce((box, { geometry }) => joinBoxes(box, boxOfGeometry(geometry)), EMPTY_BOX);
}

describe("starters", () => {
  test.each(STARTERS)("%s has a few telling numbers, each of them used, and named colours", (_, design) => {
    expect(design.numbers.length).toBeLessThanOrEqual(4);
    const uses = usesOfNumbers(design);
    for (const { name, value, min = -Infinity, max = Infinity } of design.numbers) {
      expect(uses.get(name)?.length).toBeGreaterThan(0);
      expect(Number(value)).toBeGreaterThanOrEqual(min);
      expect(Number(value)).toBeLessThanOrEqual(max);
    }
    expect(design.palette.length).toBeGreaterThan(1);
    expect(design.notes).not.toBe("");
  });

  test.each(STARTERS)("%s grows with whatever sheet it is laid on, and stays on it", (name, design) => {
    const before = boxOf(design);
    const side = fc.double({ min: 40, max: 1200, noNaN: true });
    fc.assert(
      fc.property(side, side, (width, height) => {
        const laid = onSheet(design, { width, height, unit: "cm" });
        expect(readDesign(toFile(laid)).problems).toEqual([]);
        expect(laid.sheet).toMatchObject({ width, height, unit: "cm" });
        // A floor covers its sheet.
        if (name === "floor") return;
        const factor = Math.min(width, height) / 200;
        const { left, right, top, bottom } = boxOf(laid);
        expect((right - left) / factor).toBeCloseTo(before.right - before.left, 1);
        expect((bottom - top) / factor).toBeCloseTo(before.bottom - before.top, 1);
        expect(Math.max(-left, right)).toBeLessThanOrEqual(width / 2);
        expect(Math.max(-top, bottom)).toBeLessThanOrEqual(height / 2);
        // It is no speck on it.
        expect(Math.max(right - left, bottom - top)).toBeGreaterThan(0.55 * Math.min(width, height));
      }),
      { numRuns: members(4) },
    );
  });

  test("each is made as it is meant to be: solids as one body, stitches as a run", async () => {
    const solids = STARTERS.filter(([, design]) => hasSolids(design));
    expect(solids.map(([name]) => name)).toEqual(["solid-rosette"]);
    for (const [as, name] of [
      ["stl", "solid-rosette"],
      ["stitch.json", "stitched-ring"],
    ] as const) {
      const design = STARTERS.find(([known]) => known === name)?.[1];
      const format = formatOf(as);
      if (!design || !format) throw new Error(as);
      expect(await makeFile(design, format, {}, TEST_HOST)).toHaveProperty("file");
    }
  });
});
