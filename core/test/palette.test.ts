import { describe, expect, test } from "@jest/globals";
import { contrastBetween, contrastWords, paperSizeOf, PAPER_SIZES, pictureColors, rampBetween, shadesOf } from "../src";

const channels = (hex: string) => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
const luminance = (hex: string) => {
  // WCAG 2.2, the definition of relative luminance, written out anew.
  const [r = 0, g = 0, b = 0] = channels(hex).map((channel) => {
    const share = channel / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};

/** A picture of stripes, so many pixels of each colour. */
function stripes(...colors: readonly (readonly [string, number])[]): Uint8ClampedArray {
  const pixels = colors.flatMap(([hex, count]) => Array.from({ length: count }, () => [...channels(hex), 255]).flat());
  return Uint8ClampedArray.from(pixels);
}

describe("colours of a picture", () => {
  test("those there are, the most used first", () => {
    const found = pictureColors(stripes(["#1E6F5C", 500], ["#F2C14E", 300], ["#C8442B", 100]), 3);
    expect(found).toEqual(["#1E6F5C", "#F2C14E", "#C8442B"]);
  });

  test("no more than there are; clear pixels do not count", () => {
    const picture = stripes(["#1E6F5C", 200], ["#FFFFFF", 200]);
    for (let at = 800; at < 1600; at += 4) picture[at + 3] = 0;
    expect(pictureColors(picture, 5)).toEqual(["#1E6F5C"]);
    expect(pictureColors(new Uint8ClampedArray(), 5)).toEqual([]);
  });

  test("near colours go together, and the same picture gives the same ones", () => {
    const picture = stripes(["#1E6F5C", 300], ["#206F5E", 300], ["#E58B4A", 200], ["#E48A4C", 200]);
    const found = pictureColors(picture, 2);
    expect(found).toHaveLength(2);
    expect(pictureColors(picture, 2)).toEqual(found);
    const [, green = 0] = channels(found[0] ?? "");
    expect(Math.abs(green - 0x6f)).toBeLessThan(3);
  });
});

describe("ramps", () => {
  test("between two colours: both ends kept, lightness in even steps", () => {
    const ramp = rampBetween("#1B2440", "#F2E6C9", 7);
    expect(ramp[0]).toBe("#1B2440");
    expect(ramp.at(-1)).toBe("#F2E6C9");
    const lights = ramp.map(luminance);
    expect(lights).toEqual([...lights].sort((a, b) => a - b));
  });

  test("shades of one go from dark to light in one hue", () => {
    const shades = shadesOf("#C8442B", 5);
    expect(new Set(shades).size).toBe(5);
    const lights = shades.map(luminance);
    expect(lights).toEqual([...lights].sort((a, b) => a - b));
    for (const shade of shades) {
      const [r = 0, , b = 0] = channels(shade);
      expect(r).toBeGreaterThan(b);
    }
  });
});

test.each([
  ["#000000", "#FFFFFF"],
  ["#1E6F5C", "#F1F3F4"],
  ["#C8442B", "#1B2440"],
])("contrast between %s and %s is that of the relative luminances", (a, b) => {
  const [dark = 0, light = 0] = [luminance(a), luminance(b)].sort((p, q) => p - q);
  expect(contrastBetween(a, b)).toBeCloseTo((light + 0.05) / (dark + 0.05), 6);
});

test("contrast is told by what it is enough for", () => {
  expect([21, 5, 3.2, 1.5].map(contrastWords)).toEqual([
    "clear even for small lettering",
    "enough for lettering",
    "enough for shapes and large lettering",
    "hard to tell apart",
  ]);
});

describe("standard sheets", () => {
  test("each A size is half the one before, to a millimetre, at √2", () => {
    const sizes = PAPER_SIZES.filter(({ name }) => /^A\d$/.test(name));
    sizes.slice(1).forEach(({ width, height }, index) => {
      const before = sizes[index];
      expect(height).toBe(before?.width);
      expect(width).toBe(Math.floor((before?.height ?? 0) / 2));
      expect(Math.abs(height / width - Math.SQRT2)).toBeLessThan(0.012);
    });
  });

  test("one is known upright and lying; another is none", () => {
    expect(paperSizeOf(297, 420)?.name).toBe("A3");
    expect(paperSizeOf(420, 297)?.name).toBe("A3");
    expect(paperSizeOf(200, 200)).toBeNull();
  });
});
