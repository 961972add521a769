import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { buildScene, DEVICES, FORMATS, makeFile, OPTION_NAMES, thumbnailOf } from "../src";
import { EngineEnded } from "../src/engines/engineEnded";
import { orWithinFrame } from "../src/make/images/withinFrame";
import { TEST_HOST, withGeometryEngine } from "./prepared";
import { members } from "./randomMembers";
import { designWith, partDesign } from "./testDesign";

beforeAll(withGeometryEngine);

const disc = partDesign({ kind: "disc", radius: 10 }, [], { solid: { depth: 3 } });

describe("options that no file can be made with", () => {
  test.each(OPTION_NAMES)("%s out of its limits is refused in words before anything is computed", async (name) => {
    for (const format of FORMATS) {
      for (const value of [1e-300, 1e300, 0, -1, Number.NaN, Infinity]) {
        expect(await makeFile(disc, format, { [name]: value }, TEST_HOST)).toEqual({
          refusal: expect.stringContaining(`“${name}” is ${value}; it must be a number from`),
        });
      }
    }
  });
});

describe("settings no device has", () => {
  test.each(DEVICES)("$kind", (device) => {
    for (const settings of [null, 3, "fast", [], { sped: 1 }, { constructor: 1 }, JSON.parse('{"__proto__":1}')]) {
      expect([settings, device.readSettings(settings)]).toEqual([
        settings,
        { refusal: expect.stringMatching(/^settings/) },
      ]);
    }
    expect("settings" in device.readSettings({})).toBe(true);
  });

  test("values of another kind than a setting is", () => {
    for (const kind of ["cutter", "stitcher", "solid"] as const) {
      const device = DEVICES.find((known) => known.kind === kind);
      for (const settings of [
        { frame: 7 },
        { speed: true },
        { speed: "fast" },
        { speed: [] },
        { frame: { width: "a" } },
      ]) {
        expect([settings, device?.readSettings(settings)]).toEqual([
          settings,
          { refusal: expect.stringContaining("settings.") },
        ]);
      }
    }
  });
});

describe("pictures of next to nothing", () => {
  test("parts that blend, wherever they stand and however small the sheet, are painted or leave an empty picture", async () => {
    const length = fc.constantFrom(1, 10, 200, 5_000);
    const place = fc.constantFrom(-10_000, -700, -30, 0, 6, 30, 90, 2_500);
    const part = fc.record({
      motif: fc.constantFrom({ kind: "petal" }, { kind: "disc", radius: 0.01 }, { kind: "line", length: 60 }),
      finish: fc.record({
        fill: fc.constantFrom("#1E6F5C", {
          kind: "linear",
          stops: [
            { at: 0, color: "#112233" },
            { at: 1, color: "#AABBCC" },
          ],
          over: "whole",
        }),
        blend: fc.constantFrom("multiply", "screen", "normal"),
        opacity: fc.constantFrom(0.4, 1),
        line: fc.constantFrom(null, { width: 3 }),
      }),
      at: fc.record({ x: place, y: place }),
    });
    await fc.assert(
      fc.asyncProperty(length, length, fc.array(part, { minLength: 1, maxLength: 3 }), async (width, height, parts) => {
        const design = designWith({
          sheet: { width, height },
          parts: parts.map((one, k) => ({ ...one, id: `p${k}` })),
        });
        for (const extension of ["png", "print.png"]) {
          const format = FORMATS.find((known) => known.extension === extension);
          if (!format) throw new Error("there is no such format");
          expect(await makeFile(design, format, { dpi: 12 }, TEST_HOST)).toHaveProperty("file");
        }
        expect(await thumbnailOf(design, 120, TEST_HOST)).toHaveProperty("file");
      }),
      { numRuns: members(60) },
    );
  });
});

describe("what cannot be painted for what lies far out of it", () => {
  const spread = (finish: object) =>
    buildScene(
      partDesign({ kind: "disc", radius: 4 }, [{ kind: "grid", columns: 5, rows: 1, pitch: { x: 50, y: 50 } }], {
        finish,
      }),
    );
  const overWhole = {
    fill: { kind: "linear", stops: ["#112233", "#AABBCC"].map((color, at) => ({ at, color })), over: "whole" },
  };
  const frame = { left: -30, top: -30, right: 30, bottom: 30 };

  test.each<[string, object, number]>([
    ["is painted without the copies that are not seen", { fill: "#1E6F5C" }, 1],
    ["keeps them all where colours lie over the whole of them", overWhole, 5],
  ])("%s", (_, finish, left) => {
    const tried: number[] = [];
    orWithinFrame(spread(finish), frame, ({ parts }) => {
      tried.push(parts[0]?.geometry.placements.count ?? 0);
      if (tried.length === 1) throw new EngineEnded("what makes pictures cannot draw this");
    });
    expect(tried).toEqual([5, left]);
  });

  test("any other trouble is not taken for it", () => {
    const draw = () => {
      throw new Error("out of paper");
    };
    expect(() => orWithinFrame(spread({}), frame, draw)).toThrow("out of paper");
  });
});
