import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { PNG } from "pngjs";
import { makeSvg, rasterise, subjectOf, type Design } from "../src";
import { softShadesOf } from "../src/finish/effects/softShades";
import { partOf } from "./scenes";
import { differenceOf } from "./pictureDifference";
import { notesOf, pngOf, svgOf } from "./making";
import { withRasteriser } from "./prepared";
import { designWith, partDesign } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(withRasteriser);

const ACROSS = 500;
const shaded = (finish: object) =>
  partDesign({ kind: "star", outer: 30, inner: 14 }, [{ kind: "ring", count: 5, radius: 40 }], {
    finish: { fill: "#C8442B", line: { width: 1 }, ...finish },
  });

/** The SVG of a design, as a viewer of SVG draws it, on its white sheet. */
function drawn(design: Design): PNG {
  const picture = new PNG({ width: ACROSS, height: ACROSS });
  rasterise(makeSvg(subjectOf(design)), ACROSS, ({ pixels }) => picture.data.set(pixels));
  return picture;
}

const painted = (design: Design) => PNG.sync.read(Buffer.from(pngOf(design, ACROSS)));

describe("soft shades in SVG", () => {
  test("are filters that look as they do in pictures, alone and together, blended or half clear", () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const shade = fc.record({
      color: fc.constantFrom("#2B2140", "#FFF3C4", "#1E6F5C80"),
      x: within(-6, 6),
      y: within(-6, 6),
      blur: within(1, 8),
      opacity: within(0.3, 1),
    });
    const some = fc.option(shade, { nil: null });
    const finish = fc.record({
      shadow: some,
      glow: some,
      innerShadow: some,
      opacity: fc.constantFrom(1, 0.6),
      blend: fc.constantFrom("normal", "multiply"),
    });
    fc.assert(
      fc.property(finish, (own) => {
        const design = shaded(own);
        expect(svgOf(design)).not.toContain("<image");
        // Three box blurs stand for a Gaussian in pictures.
        expect(differenceOf(drawn(design), painted(design))).toBeLessThan(0.004);
      }),
      { numRuns: members(6) },
    );
  });

  test("what only images can say stays an image, and so do the shades beyond it; the file says which", () => {
    const { over, rest } = softShadesOf(
      partOf(shaded({ texture: {}, innerShadow: {}, shadow: {}, grain: {} })).finish.effects,
    );
    // Facets lie between the paint and the inner shadow.
    expect(over).toEqual([]);
    expect([rest.texture, rest.innerShadow, rest.shadow]).toEqual([expect.anything(), expect.anything(), null]);
    const mixed = shaded({ innerShadow: {}, shadow: {}, grain: {} });
    expect(notesOf("svg", mixed)).toBe("some of it is put in as images: grain at 200 dots an inch");
    expect(notesOf("pdf", mixed)).toContain("shadows, inner shadows, grain at");
    expect(notesOf("svg", shaded({ glow: {}, shadow: {} }))).toBe("");
    expect(svgOf(mixed).match(/<image/g)).toHaveLength(1);
    expect(differenceOf(drawn(mixed), painted(mixed))).toBeLessThan(0.012);
  });
});

describe("grain of the ground", () => {
  const grained = (more: object) =>
    designWith({ sheet: { width: 100, height: 100, ground: "#808080", grain: { amount: 0.5, size: 2, ...more } } });

  test("lies over the whole ground, as light as dark, the same for one throw, in pictures and in drawings", () => {
    const { data } = painted(grained({}));
    const shades = Array.from({ length: ACROSS * ACROSS }, (_, pixel) => data[pixel * 4] ?? 0);
    const mean = shades.reduce((sum, shade) => sum + shade, 0) / shades.length;
    expect(Math.abs(mean - 128)).toBeLessThan(3);
    const { least, most } = {
      least: shades.reduce((a, b) => Math.min(a, b)),
      most: shades.reduce((a, b) => Math.max(a, b)),
    };
    expect(most - least).toBeGreaterThan(90);
    expect(painted(grained({})).data).toEqual(data);
    expect(painted(grained({ seed: 9 })).data).not.toEqual(data);
    expect(differenceOf(drawn(grained({})), painted(grained({})))).toBeLessThan(0.01);
    expect(notesOf("svg", grained({}))).toContain("grain at");
  });

  test("is nothing where there is no ground", () => {
    const none = designWith({ sheet: { ground: null, grain: {} } });
    expect(svgOf(none)).not.toContain("<image");
  });
});

test("shades of nothing, and of what stands far off the sheet, leave no filter without a region", () => {
  const far = { at: { x: 9_000 } };
  for (const more of [far, { motif: { kind: "walk" } }, { rules: [{ kind: "step", count: 3, scale: 0 }] }]) {
    const finish = { fill: "#C8442B", glow: { blur: 20 }, shadow: {} };
    const svg = svgOf(designWith({ parts: [{ id: "a", motif: { kind: "disc" }, finish, ...more }] }));
    expect(svg).not.toMatch(/NaN|Infinity|(width|height)="-/);
  }
});
