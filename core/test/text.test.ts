import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { create } from "fontkit";
import { boxOfPath, buildScene, FONTS, missingLetters, readDesign, setRow, type Path } from "../src";
import { areaOfPath } from "../src/geometry/path";
import { designWith, partDesign } from "./testDesign";
import { withFonts } from "./prepared";
import { members } from "./randomMembers";

beforeAll(withFonts);

const drawn = (motif: object): Path => buildScene(partDesign({ kind: "text", ...motif })).parts[0]?.geometry.path ?? [];
const middleOf = (path: Path) => {
  const { left, right, top, bottom } = boxOfPath(path);
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
};

describe("lettering", () => {
  test.each(FONTS.map(({ id, file }) => [id, file] as const))(
    "in %s is as wide as its advances and kerning",
    (id, file) => {
      const font = create(readFileSync(createRequire(import.meta.url).resolve(file)));
      if ("fonts" in font) throw new Error("a collection");
      const words = "AVATAR Towel, 1926";
      const units = font.layout(words).positions.reduce((sum, { xAdvance }) => sum + xAdvance, 0);
      expect(setRow(words, id, 20, 0).width).toBeCloseTo((units / font.unitsPerEm) * 20, 9);
      expect(setRow(words, id, 20, 1.5).width).toBeCloseTo(
        (units / font.unitsPerEm) * 20 + 1.5 * (font.layout(words).glyphs.length - 1),
        9,
      );
      expect(Math.abs(areaOfPath(drawn({ text: "Baths", font: id })))).toBeGreaterThan(10);
    },
  );

  test("at least one font kerns: the pair is narrower than its letters apart", () => {
    const pairs = FONTS.map(
      ({ id }) => setRow("AV", id, 20, 0).width - setRow("A", id, 20, 0).width - setRow("V", id, 20, 0).width,
    );
    expect(Math.min(...pairs)).toBeLessThan(-0.1);
  });

  test("is centred on its origin, the row across and the capitals up and down", () => {
    const { x, y } = middleOf(drawn({ text: "HHHH", size: 30 }));
    expect(Math.abs(x)).toBeLessThan(0.5);
    expect(Math.abs(y)).toBeLessThan(0.5);
  });

  test("single letters are raised and lowered, and only those", () => {
    const plain = drawn({ text: "III" });
    const raised = drawn({ text: "III", raise: [0, 4] });
    expect(boxOfPath(raised.slice(1, 2)).top).toBeCloseTo(boxOfPath(plain.slice(1, 2)).top - 4, 9);
    expect(raised[0]).toEqual(plain[0]);
    expect(raised[2]).toEqual(plain[2]);
  });

  test("on a circle letters stand on it outside, hang within it inside, from the start clockwise", () => {
    const radii = (path: Path) =>
      path.flatMap(({ coordinates }) =>
        coordinates.flatMap((x, k) => (k % 2 === 0 ? [Math.hypot(x, coordinates[k + 1] ?? 0)] : [])),
      );
    const outside = radii(drawn({ text: "HIH", on: { radius: 50, start: 90 } }));
    expect(Math.min(...outside)).toBeGreaterThan(49.5);
    const inside = radii(drawn({ text: "HIH", on: { radius: 50, inside: true } }));
    expect(Math.max(...inside)).toBeLessThan(50.6);
    // So far off the line: every letter's foot outside, its foot within.
    const off = radii(drawn({ text: "HIH", on: { radius: 50, start: 90, off: 4 } }));
    expect(Math.min(...off)).toBeCloseTo(Math.min(...outside) + 4, 1);
    const within = radii(drawn({ text: "HIH", on: { radius: 50, inside: true, off: 4 } }));
    expect(Math.max(...within)).toBeCloseTo(Math.max(...inside) - 4, 1);
    const { x, y } = middleOf(drawn({ text: "HIH", on: { radius: 50, start: 90 } }));
    expect(x).toBeGreaterThan(45);
    expect(y).toBeGreaterThan(0);
  });

  test("is spread to an end, and repeated until the line is full", () => {
    const spread = drawn({ text: "IIII", on: { radius: 50, start: 0, end: 90 } });
    const last = middleOf(spread.slice(-1));
    expect((Math.atan2(last.x, -last.y) * 180) / Math.PI).toBeGreaterThan(84);
    const once = drawn({ text: "IO ", size: 10, on: { radius: 50 } });
    const full = drawn({ text: "IO ", size: 10, on: { radius: 50 }, repeatToFill: true });
    const width = setRow("IO ", "alegreya-sans", 10, 0).width;
    expect(full.length / once.length).toBe(Math.floor((100 * Math.PI) / width));
  });

  test("along another part's line follows it where it stands, and is drawn anew when it changes", () => {
    const design = (radius: number, x = 0) =>
      designWith({
        parts: [
          { id: "rim", motif: { kind: "disc", radius }, at: { x }, role: "guide" },
          { id: "words", motif: { kind: "text", text: "HHH", size: 8, on: { part: "rim" } } },
        ],
      });
    const box = (d: ReturnType<typeof design>) => boxOfPath(buildScene(d).parts[1]?.geometry.path ?? []);
    expect(box(design(40)).top).toBeLessThan(-44);
    expect(box(design(60)).top).toBeLessThan(-64);
    expect(box(design(40, 100)).left).toBeGreaterThan(95);
  });

  test("a line that is not there, and lines that follow each other, are refused in words", () => {
    const read = (first: string, second: string) =>
      readDesign({
        format: "twin-petal/1",
        parts: [
          { id: "a", motif: { kind: "text", text: "A", on: { part: first } } },
          { id: "b", motif: { kind: "text", text: "B", on: { part: second } } },
        ],
      }).problems;
    expect(read("c", "a")).toEqual([
      { path: "parts[0].motif", message: expect.stringContaining("no part of that id") },
    ]);
    expect(read("b", "a").map(({ message }) => message)).toEqual([
      expect.stringContaining("a → b → a"),
      expect.stringContaining("b → a → b"),
    ]);
  });

  test("letters a font has not are told", () => {
    expect(missingLetters("Bäder 漢", "alegreya-sans")).toEqual(["漢"]);
    const [part] = buildScene(partDesign({ kind: "text", text: "漢" })).parts;
    expect(part?.geometry.notes[0]).toContain("Alegreya Sans has no letter for 漢");
  });
});

describe("lettering that is repeated to fill its line", () => {
  test("whatever its spacing and size, it is set or told; it never grows without end", () => {
    const of = (spacing: number, size: number, radius: number) =>
      designWith({
        parts: [
          { id: "a", motif: { kind: "text", text: "Baths ", size, spacing, on: { radius }, repeatToFill: true } },
        ],
      });
    // The letters of a row of 154 bytes, drawn into each other.
    expect(buildScene(of(-30, 20, 60)).problems).toEqual([
      { path: "parts[0].motif", message: expect.stringMatching(/^its letters take no room with a spacing of -30 mm/) },
    ]);
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: 0.01, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 5_000, noNaN: true }),
        (spacing, size, radius) => {
          const { parts, problems } = buildScene(of(spacing, size, radius));
          expect(problems.length + parts.length).toBe(1);
          expect(problems.every(({ path }) => path === "parts[0].motif")).toBe(true);
        },
      ),
      { numRuns: members(60) },
    );
  });
});
