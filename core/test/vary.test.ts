import { describe, expect, test } from "@jest/globals";
import { buildScene, colorAt, readDesign, SceneBuilder, valuesOfVary } from "../src";
import { designWith, partDesign } from "./testDesign";
import { feetOf, matricesOf, partOf } from "./scenes";
import { svgOf } from "./making";

const PETAL = { kind: "petal" };
const ring = { kind: "ring", count: 6, radius: 30 };
const varied = (fields: object, rules: readonly object[] = [ring]) =>
  partOf(partDesign(PETAL, [...rules, { kind: "vary", ...fields }]));

describe("vary", () => {
  test("adds no copies; turns and sizes them about their feet, moves them across, down and out", () => {
    const plain = matricesOf(partOf(partDesign(PETAL, [ring])));
    const part = varied({ turn: "10 * i", size: "1 + t" });
    expect(part.geometry.placements.count).toBe(6);
    matricesOf(part).forEach(([a, b, , , e, f], copy) => {
      const [p, q, , , x, y] = plain[copy] ?? [1, 0, 0, 1, 0, 0];
      expect(e).toBeCloseTo(x, 9);
      expect(f).toBeCloseTo(y, 9);
      expect(Math.hypot(a, b)).toBeCloseTo(1 + copy / 5, 9);
      const turned = ((Math.atan2(b, a) - Math.atan2(q, p)) * 180) / Math.PI;
      expect(((turned % 360) + 360) % 360).toBeCloseTo(10 * copy, 6);
    });
    const radii = feetOf(varied({ moveOut: "4 * mod(i, 2)" })).map(({ x, y }) => Number(Math.hypot(x, y).toFixed(9)));
    expect(radii).toEqual([30, 34, 30, 34, 30, 34]);
    const moved = feetOf(varied({ moveX: 3, moveY: "-r / 10" }));
    expect(moved[0]).toEqual({ x: 3, y: -33 });
  });

  test("makes copies wider and longer along their own axes", () => {
    matricesOf(varied({ sizeX: "1 + t", sizeY: "1 - t / 2" })).forEach(([a, b, c, d], copy) => {
      expect(Math.hypot(a, b)).toBeCloseTo(1 + copy / 5, 9);
      expect(Math.hypot(c, d)).toBeCloseTo(1 - copy / 10, 9);
      expect(Math.abs(a * c + b * d)).toBeLessThan(1e-9);
    });
  });

  test("knows i n t x y r angle row column ring, and the design's numbers", () => {
    const grid = { kind: "grid", columns: 3, rows: 2, pitch: 10 };
    expect(feetOf(varied({ moveX: "100 * column", moveY: "100 * row" }, [grid]))[5]).toEqual({ x: 210, y: 105 });
    const rings = { kind: "ring", count: 4, rings: 2, radius: 10 };
    const sizes = matricesOf(varied({ size: "ring + 1" }, [rings])).map(([a, b]) => Math.round(Math.hypot(a, b)));
    expect(sizes).toEqual([1, 1, 1, 1, 2, 2, 2, 2]);
    const angles = matricesOf(varied({ size: "angle / 60 + 1" })).map(([a, b]) => Math.hypot(a, b));
    angles.forEach((size, copy) => expect(size).toBeCloseTo(copy + 1, 9));
    const design = designWith({
      numbers: [{ name: "swing", value: "2 * 15" }],
      parts: [{ id: "a", motif: PETAL, rules: [ring, { kind: "vary", moveX: "swing * (i == n - 1)" }] }].map(
        (part) => ({
          ...part,
          rules: [ring, { kind: "vary", moveX: "swing * floor(i / (n - 1))" }],
        }),
      ),
    });
    expect(feetOf(partOf(design))[5]?.x).toBeCloseTo(30 * Math.sin((300 * Math.PI) / 180) + 30, 9);
  });

  test("rules after it repeat what it changed", () => {
    const part = partOf(
      partDesign(PETAL, [
        { kind: "step", count: 3, move: { x: 5, y: 0 } },
        { kind: "vary", size: "i + 1" },
        { kind: "turn", count: 2 },
      ]),
    );
    const sizes = matricesOf(part).map(([a, b]) => Number(Math.hypot(a, b).toFixed(9)));
    expect(sizes).toEqual([1, 2, 3, 1, 2, 3]);
  });

  test("opacity and paint reach the picture and the file", () => {
    const finish = {
      fill: {
        kind: "ramp",
        stops: [
          { at: 0, color: "#000000" },
          { at: 1, color: "#FFFFFF" },
        ],
        by: "paint",
      },
    };
    const design = partDesign(PETAL, [ring, { kind: "vary", opacity: "1 - 0.5 * t", paint: "mod(i, 2)" }], { finish });
    const {
      geometry,
      finish: { fill },
    } = partOf(design);
    expect([...(geometry.placements.opacity ?? [])]).toEqual([1, 0.9, 0.8, 0.7, 0.6, 0.5]);
    if (!fill) throw new Error("no fill");
    expect([0, 1, 2].map(colorAt(fill, geometry.placements))).toEqual(["#000000", "#FFFFFF", "#000000"]);
    const uses = svgOf(design)
      .split("\n")
      .filter((line) => line.startsWith("<use"));
    expect(uses[5]).toContain(`fill="#FFFFFF"`);
    expect(uses[5]).toContain(`opacity="0.5"`);
  });

  test("a formula with an unknown name is refused at its path; one that is not finite for some copy is told, and the part stays", () => {
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [{ id: "a", motif: PETAL, rules: [{ kind: "vary", size: "petalz + i" }] }],
    });
    expect(problems).toEqual([
      expect.objectContaining({ path: "parts[0].rules[0].size", message: expect.stringContaining("petalz") }),
    ]);
    const builder = new SceneBuilder();
    const [before] = builder.build(partDesign(PETAL, [ring])).parts;
    const broken = builder.build(partDesign(PETAL, [ring, { kind: "vary", size: "1 / (i - 3)" }]));
    expect(broken.parts[0]?.geometry).toBe(before?.geometry);
    expect(broken.problems).toEqual([
      { path: "parts[0].rules[1].size", message: expect.stringContaining("for copy 4 of 6") },
    ]);
  });

  test("the curve of its values is that of the copies before it", () => {
    const design = partDesign(PETAL, [ring, { kind: "vary", size: "i * i" }, { kind: "turn", count: 3 }]);
    expect([...(valuesOfVary(design, "a", 1, "size") ?? [])]).toEqual([0, 1, 4, 9, 16, 25]);
    expect(valuesOfVary(design, "a", 0, "size")).toBeNull();
    expect(buildScene(design).parts[0]?.geometry.placements.count).toBe(18);
  });
});
