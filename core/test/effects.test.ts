import { describe, expect, test } from "@jest/globals";
import { effectLayers, NO_EFFECTS, poolsRaster, reachOfEffects, type Coverage, type Pools, type Raster } from "../src";
import { blurred } from "../src/finish/effects/blur";
import { base64 } from "../src/make/images/base64";

/** A square of 40 pixels in a picture of 100, four pixels a millimetre. */
function square(): Coverage {
  const alpha = new Uint8ClampedArray(100 * 100);
  for (let row = 30; row < 70; row++) alpha.fill(255, row * 100 + 30, row * 100 + 70);
  return { width: 100, height: 100, alpha, left: -12.5, top: -12.5, scale: 4 };
}

const alphaAt = (raster: Raster | null, x: number, y: number) => raster?.data[(y * 100 + x) * 4 + 3] ?? 0;

function middleOf(raster: Raster | null): { x: number; y: number; sum: number } {
  let [x, y, sum] = [0, 0, 0];
  for (let pixel = 0; pixel < 10_000; pixel++) {
    const alpha = raster?.data[pixel * 4 + 3] ?? 0;
    x += alpha * (pixel % 100);
    y += alpha * Math.floor(pixel / 100);
    sum += alpha;
  }
  return { x: x / sum, y: y / sum, sum };
}

test.each([2, 6, 11])("a blur keeps the sum and has the deviation asked for: %d pixels", (deviation) => {
  const values = new Float32Array(101 * 101);
  values[50 * 101 + 50] = 1;
  const soft = blurred(values, 101, 101, deviation);
  let [sum, square] = [0, 0];
  soft.forEach((value, pixel) => {
    sum += value;
    square += value * ((pixel % 101) - 50) ** 2;
  });
  expect(sum).toBeCloseTo(1, 4);
  expect(Math.sqrt(square) / deviation).toBeGreaterThan(0.9);
  expect(Math.sqrt(square) / deviation).toBeLessThan(1.1);
});

describe("shades", () => {
  const shade = { color: "#102030", x: 2, y: -1, blur: 2, opacity: 0.5 };

  test("a shadow is moved by its distance and half as opaque", () => {
    const { under, over } = effectLayers({ ...NO_EFFECTS, shadow: { ...shade, blur: 0 } }, square());
    expect(over).toBeNull();
    const { x, y } = middleOf(under);
    expect(x).toBeCloseTo(49.5 + 8, 1);
    expect(y).toBeCloseTo(49.5 - 4, 1);
    expect(alphaAt(under, 57, 45)).toBe(128);
    expect([...(under?.data.subarray((45 * 100 + 57) * 4, (45 * 100 + 57) * 4 + 3) ?? [])]).toEqual([16, 32, 48]);
  });

  test("a glow reaches to all sides, further than a shadow does", () => {
    const even = { ...shade, x: 0, y: 0, blur: 4, opacity: 1 };
    const glow = effectLayers({ ...NO_EFFECTS, glow: even }, square()).under;
    const shadow = effectLayers({ ...NO_EFFECTS, shadow: even }, square()).under;
    expect(middleOf(glow).x).toBeCloseTo(49.5, 1);
    expect(alphaAt(glow, 24, 50)).toBeGreaterThan(alphaAt(shadow, 24, 50) * 1.5);
  });

  test("an inner shadow lies only where there is paint, thickest at the side it falls from", () => {
    const { over } = effectLayers({ ...NO_EFFECTS, innerShadow: { ...shade, x: 2, y: 0, blur: 1 } }, square());
    expect(alphaAt(over, 25, 50)).toBe(0);
    expect(alphaAt(over, 31, 50)).toBeGreaterThan(100);
    expect(alphaAt(over, 50, 50)).toBe(0);
    expect(alphaAt(over, 69, 50)).toBe(0);
  });
});

test("effects depend on what is painted as far as they are moved and blurred; grain does not", () => {
  const shade = { color: "#000000", x: 2, y: -3, blur: 4, opacity: 1 };
  for (const name of ["shadow", "glow", "innerShadow"] as const) {
    expect(reachOfEffects({ ...NO_EFFECTS, [name]: shade })).toBe(9);
  }
  const grain = { amount: 1, size: 5, seed: 1, mono: true };
  expect(reachOfEffects({ ...NO_EFFECTS, grain })).toBe(0);
});

describe("grain and facets", () => {
  const grain = { amount: 0.6, size: 0.5, seed: 3, mono: true };
  const texture = { kind: "facets", size: 3, strength: 0.5, seed: 2 } as const;

  test("the same seed gives the same grain, another one another; it lies only on paint", () => {
    const layer = (seed: number) => effectLayers({ ...NO_EFFECTS, grain: { ...grain, seed } }, square()).over?.data;
    expect(layer(3)).toEqual(layer(3));
    expect(layer(3)).not.toEqual(layer(4));
    expect(alphaAt(effectLayers({ ...NO_EFFECTS, grain }, square()).over, 10, 10)).toBe(0);
  });

  test("grain is as light as it is dark", () => {
    const { over } = effectLayers({ ...NO_EFFECTS, grain }, square());
    let [light, dark] = [0, 0];
    for (let pixel = 0; pixel < 10_000; pixel++) {
      const alpha = over?.data[pixel * 4 + 3] ?? 0;
      if (over?.data[pixel * 4] === 255) light += alpha;
      else dark += alpha;
    }
    expect(light / dark).toBeGreaterThan(0.8);
    expect(light / dark).toBeLessThan(1.25);
  });

  test("cells and facets stand on the sheet, whatever part of it the picture shows", () => {
    const whole = square();
    // The same sheet seen five millimetres further right: twenty pixels.
    const alpha = new Uint8ClampedArray(10_000).fill(255);
    const layer = (left: number) => effectLayers({ ...NO_EFFECTS, grain, texture }, { ...whole, alpha, left }).over;
    const [here, there] = [layer(-12.5), layer(-7.5)];
    for (const [x, y] of [
      [40, 40],
      [50, 61],
      [33, 68],
    ] as const) {
      for (const channel of [0, 1, 2, 3]) {
        expect(here?.data[(y * 100 + x) * 4 + channel]).toBe(there?.data[(y * 100 + x - 20) * 4 + channel]);
      }
    }
  });

  test("facets are flat places of light and shade with edges between them", () => {
    const alpha = new Uint8ClampedArray(10_000).fill(255);
    const { over } = effectLayers({ ...NO_EFFECTS, texture }, { ...square(), alpha });
    const steps = Array.from({ length: 99 }, (_, x) => Math.abs(alphaAt(over, x + 1, 50) - alphaAt(over, x, 50)));
    expect(steps.filter((step) => step < 6).length).toBeGreaterThan(70);
    expect(steps.filter((step) => step > 12).length).toBeGreaterThan(3);
  });
});

describe("pools", () => {
  const pools: Pools = {
    kind: "pools",
    over: "copy",
    points: [
      { x: 0, y: 0, color: "#FF0000", reach: 1 },
      { x: 1, y: 0, color: "#00FF00", reach: 1 },
      { x: 0, y: 1, color: "#0000FF", reach: 1 },
      { x: 1, y: 1, color: "#FFFFFF", reach: 1 },
    ],
  };
  const box = { left: 0, top: 0, right: 80, bottom: 40 };
  const colorAt = ({ width, height, data }: Raster, x: number, y: number) => {
    const at = (Math.floor(y * (height - 1)) * width + Math.floor(x * (width - 1))) * 4;
    return [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0];
  };

  test("each corner has its own colour, and the picture has the box's proportions", () => {
    const { raster } = poolsRaster(pools, box, 0);
    expect(raster.width / raster.height).toBeCloseTo(2, 1);
    const near = (found: number[], wanted: number[]) =>
      found.forEach((channel, index) => expect(Math.abs(channel - (wanted[index] ?? 0))).toBeLessThan(6));
    near(colorAt(raster, 0, 0), [255, 0, 0]);
    near(colorAt(raster, 1, 0), [0, 255, 0]);
    near(colorAt(raster, 0, 1), [0, 0, 255]);
    near(colorAt(raster, 1, 1), [255, 255, 255]);
  });

  test("half way between two like neighbours is their mixture, and a longer reach moves it", () => {
    const two = (reach: number): Pools => ({
      ...pools,
      points: [
        { x: 0, y: 0.5, color: "#000000", reach: 1 },
        { x: 1, y: 0.5, color: "#FFFFFF", reach },
      ],
    });
    // Half of black and white in OKLab is #636363.
    const [even = 0] = colorAt(poolsRaster(two(1), box, 0).raster, 0.5, 0.5);
    expect(Math.abs(even - 99)).toBeLessThan(4);
    const [lighter = 0] = colorAt(poolsRaster(two(2), box, 0).raster, 0.5, 0.5);
    expect(lighter).toBeGreaterThan(even + 60);
  });

  test("room around the box leaves the colours where they are", () => {
    const wide = poolsRaster(pools, box, 40);
    expect(wide.box.right).toBeCloseTo(120.05, 6);
    const [r = 0, g = 0] = colorAt(wide.raster, 40.05 / 160.1, 40.05 / 120.1);
    expect(r).toBeGreaterThan(235);
    expect(g).toBeLessThan(25);
  });
});

test("bytes as base64: the examples of RFC 4648", () => {
  const bytes = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  const words = ["", "f", "fo", "foo", "foob", "fooba", "foobar"].map((text) => base64(bytes(text)));
  expect(words).toEqual(["", "Zg==", "Zm8=", "Zm9v", "Zm9vYg==", "Zm9vYmE=", "Zm9vYmFy"]);
  const long = Uint8Array.from({ length: 20_001 }, (_, k) => (k * 7) % 256);
  expect(base64(long)).toBe(Buffer.from(long).toString("base64"));
});
