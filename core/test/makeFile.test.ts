import { decode } from "fast-png";
import { describe, expect, test } from "@jest/globals";
import {
  formatOf,
  FORMATS,
  makeFile,
  pathOfData,
  readDesign,
  segmentsOf,
  USUAL_OPTIONS,
  type Design,
  type MakeOptions,
} from "../src";
import { isStraight, pointAt } from "../src/geometry/cubic";
import { distanceToChord } from "../src/geometry/chordDistance";
import { TEST_HOST } from "./prepared";
import { designWith, partDesign } from "./testDesign";

async function made(design: Design, extension: string, options: Partial<MakeOptions> = {}) {
  const format = formatOf(extension);
  if (!format) throw new Error(`no format ${extension}`);
  return makeFile(design, format, options, TEST_HOST);
}

async function textOf(design: Design, extension: string, options: Partial<MakeOptions> = {}): Promise<string> {
  const file = await made(design, extension, options);
  if (!("file" in file)) throw new Error(JSON.stringify(file));
  return String(file.file);
}

const DISC = partDesign({ kind: "disc", radius: 20 }, [{ kind: "step", count: 3, scale: 1.5, move: { x: 9, y: 0 } }]);

const JOINED = designWith({
  sheet: { width: 12, height: 12 },
  parts: [
    {
      id: "a",
      motif: { kind: "disc", radius: 2.4 },
      rules: [{ kind: "step", count: 3, scale: 1.5, move: { x: 1.2, y: 0 } }],
      join: { mode: "merge" },
      finish: { grain: {} },
    },
  ],
});

describe("one way to make a file, whoever asks", () => {
  test.each([0.5, 0.1, 0.01])(
    "straight pieces stay within %s mm of the curve on the sheet, and use no more than they must",
    async (tolerance) => {
      const svg = await textOf(DISC, "svg", { tolerance });
      const path = pathOfData(/<path id="motif-a" d="([^"]+)"/.exec(svg)?.[1] ?? "");
      const segments = path.flatMap(segmentsOf);
      expect(segments.every(isStraight)).toBe(true);
      // The largest copy is 1.5² times the motif: a chord's arrow there is r(1 − cos(π/n)).
      const radius = 20 * 1.5 ** 2;
      const arrow = radius * (1 - Math.cos(Math.PI / segments.length));
      expect(arrow).toBeLessThanOrEqual(tolerance * 1.01);
      expect(arrow).toBeGreaterThan(tolerance / 8);
      for (const [from, , , to] of segments) {
        expect(Math.hypot(from.x, from.y)).toBeCloseTo(20, 2);
        expect(distanceToChord({ x: 0, y: 0 }, from, to)).toBeGreaterThan(20 - tolerance);
      }
    },
  );

  test("without a tolerance curves stay curves; a tolerance flattens outlines of joins and pieces too", async () => {
    expect(await textOf(DISC, "svg")).toContain("C");
    const curved = designWith({
      parts: [
        { id: "a", motif: { kind: "disc", radius: 20 }, rules: [{ kind: "ring", count: 5 }], join: { mode: "merge" } },
        { id: "b", motif: { kind: "part", part: "a" }, at: { size: 0.5 } },
      ],
    });
    for (const extension of ["svg", "scene.json"]) {
      const data = [...(await textOf(curved, extension, { tolerance: 0.05 })).matchAll(/"(M[^"]+)"/g)];
      expect(data.length).toBeGreaterThan(0);
      for (const [, d = ""] of data) expect(d).not.toContain("C");
    }
    const [segment] = pathOfData("M0 0C0 10 10 10 10 0").flatMap(segmentsOf);
    expect(segment && pointAt(segment, 0.5).y).toBe(7.5);
  });

  test("line art, notes, refusals and what cannot be computed all come back the same way", async () => {
    const grained = designWith({
      sheet: { width: 60, height: 60 },
      parts: [{ id: "a", motif: { kind: "disc" }, finish: { grain: {} } }],
    });
    expect(await made(grained, "svg")).toMatchObject({ notes: [expect.stringContaining("grain at 300 dots")] });
    expect(await made(grained, "svg", { dpi: 96 })).toMatchObject({
      notes: [expect.stringContaining("grain at 96 dots")],
    });
    const widthAt = async (dpi: number) => {
      const [, png = ""] = /base64,([^"]+)"/.exec(await textOf(grained, "svg", { dpi })) ?? [];
      return decode(Buffer.from(png, "base64")).width;
    };
    expect((await widthAt(288)) / (await widthAt(96))).toBeCloseTo(3, 1);
    const lines = await textOf(grained, "svg", { lineArt: 0.35 });
    expect(lines).toContain('stroke-width="0.35"');
    expect(lines).not.toContain("<image");
    expect(await made(grained, "tile.svg")).toMatchObject({ refusal: expect.stringContaining("repeats") });
    expect(await made(grained, "png", { dpi: 90_000 })).toMatchObject({ refusal: expect.stringContaining("dpi") });
    const { design } = readDesign({
      format: "twin-petal/1",
      parts: [{ id: "a", motif: { kind: "disc" }, rules: [{ kind: "turn" }, { kind: "vary", size: "1 / i" }] }],
    });
    expect(design && (await made(design, "svg"))).toEqual({
      problems: [{ path: "parts[0].rules[1].size", message: expect.stringContaining("copy 1") }],
    });
  });

  test("an option a format does not declare changes nothing in it", async () => {
    const usual = { dpi: 60, duration: 1, pixels: 30 };
    const other: MakeOptions = { dpi: 40, tolerance: 0.7, lineArt: 1.5, page: 1, duration: 0.4, pixels: 20 };
    for (const { extension, options, kind } of FORMATS) {
      // Tiles are made of what repeats, solids of what stands up.
      if (extension.startsWith("tile") || kind === "solid") continue;
      for (const name of ["dpi", "tolerance", "lineArt", "duration", "pixels"] as const) {
        const [before, changed] = await Promise.all([
          made(JOINED, extension, usual),
          made(JOINED, extension, { ...usual, [name]: other[name] }),
        ]);
        const same = JSON.stringify(before) === JSON.stringify(changed);
        expect({ extension, name, same }).toEqual({ extension, name, same: !options.includes(name) });
      }
      const isSized = options.includes("dpi") || options.includes("pixels");
      expect(["picture", "drawing"].includes(kind) || extension === "print.png").toBe(isSized);
    }
    expect(USUAL_OPTIONS.tolerance).toBeNull();
  });
});
