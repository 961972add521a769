import { beforeAll, describe, expect, test } from "@jest/globals";
import {
  buildScene,
  parseDesign,
  placeGradient,
  rasterise,
  readDesign,
  svgOfScene,
  writeDesign,
  type Gradient,
} from "../src";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { designWith, partDesign } from "./testDesign";
import { partOf } from "./scenes";
import { svgOf } from "./making";

beforeAll(withRasteriser);

const BOX = { left: -10, top: -20, right: 30, bottom: 10 };
const stops = [
  { at: 0, color: "#000000" },
  { at: 1, color: "#FFFFFF" },
];
const linear = (more: object = {}): Gradient => ({
  kind: "linear",
  angle: 0,
  stops,
  midpoint: 0.5,
  over: "copy",
  ...more,
});
const radial: Gradient = {
  kind: "radial",
  center: { x: 0.5, y: 0.25 },
  radius: 1,
  stops,
  midpoint: 0.5,
  over: "copy",
  about: "box",
};

describe("gradients laid over a box", () => {
  test("a line from side to side at 0° and 90°, from corner to corner askew", () => {
    expect(placeGradient(linear(), BOX)).toMatchObject({ from: { x: 10, y: 10 }, to: { x: 10, y: -20 } });
    const level = placeGradient(linear({ angle: 90 }), BOX);
    if (level.kind !== "linear") throw new Error("no line");
    expect(level.from.x).toBeCloseTo(-10, 9);
    expect(level.to.x).toBeCloseTo(30, 9);
    const askew = placeGradient(linear({ angle: 45 }), BOX);
    if (askew.kind !== "linear") throw new Error("no line");
    // Its ends see the lower left and the upper right corner straight across.
    const across = (p: { x: number; y: number }, q: { x: number; y: number }) => q.x - p.x - (q.y - p.y);
    expect(across(askew.from, { x: -10, y: 10 })).toBeCloseTo(0, 9);
    expect(across(askew.to, { x: 30, y: -20 })).toBeCloseTo(0, 9);
  });

  test("a circle about a place in the box, its radius in shares of half the longer side", () => {
    expect(placeGradient(radial, BOX)).toMatchObject({ centre: { x: 10, y: -12.5 }, radius: 20 });
  });

  test("colours mix in OKLab, half and half at the midpoint", () => {
    const colorNear = (gradient: Gradient, share: number) =>
      placeGradient(gradient, BOX).stops.reduce((best, stop) =>
        Math.abs(stop.at - share) < Math.abs(best.at - share) ? stop : best,
      ).color;
    expect(colorNear(linear(), 0.5)).toBe("#636363");
    expect(colorNear(linear({ midpoint: 0.25 }), 0.25)).toBe("#636363");
    expect(colorNear(linear(), 0)).toBe("#000000");
    expect(colorNear(linear(), 1)).toBe("#FFFFFF");
  });
});

describe("gradients in a design", () => {
  const fill = { kind: "linear", angle: 30, stops, over: "whole" };
  const design = partDesign({ kind: "disc", radius: 10 }, [{ kind: "turn", count: 3, pivot: { x: 20, y: 0 } }], {
    finish: { fill },
  });

  test.each(["linear", "radial", "pools"])(
    "over the whole of nothing a %s one has a place all the same",
    async (kind) => {
      await withGeometryEngine();
      const stops = {
        stops: [
          { at: 0, color: "#000000" },
          { at: 1, color: "#FFFFFF" },
        ],
      };
      const points = {
        points: [
          { x: 0, y: 0, color: "#FF0000", reach: 0.5 },
          { x: 1, y: 1, color: "#0000FF", reach: 0.5 },
        ],
      };
      const design = designWith({
        parts: [
          { id: "all", role: "tool", motif: { kind: "disc", radius: 50 } },
          {
            id: "a",
            motif: { kind: "disc", radius: 5 },
            join: { cutBy: ["all"] },
            finish: { fill: { kind, ...(kind === "pools" ? points : stops), over: "whole" } },
          },
        ],
      });
      expect(svgOf(design)).not.toMatch(/NaN|Infinity/);
    },
  );

  test("survive a round trip, defaults left out", () => {
    const text = writeDesign(design);
    expect(parseDesign(text).design).toEqual(design);
    expect(text).not.toContain("midpoint");
    expect(partOf(design).finish.fill).toEqual({ ...fill, midpoint: 0.5 });
  });

  test("faults are told at their paths", () => {
    const faulty = { kind: "radial", center: { x: 0.5, y: 99 }, stops: [{ at: 2, color: "red" }], over: "sky" };
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [{ id: "a", motif: { kind: "disc" }, finish: { fill: faulty } }],
    });
    expect(problems.map(({ path }) => path).sort()).toEqual(
      ["center.y", "over", "stops[0].at", "stops[0].color"].map((field) => `parts[0].finish.fill.${field}`),
    );
  });

  test("in SVG over each copy: one for each outline", () => {
    const each = svgOf(
      partDesign({ kind: "disc" }, [{ kind: "turn", count: 3 }], { finish: { fill: { ...fill, over: "copy" } } }),
    );
    expect(each.match(/<linearGradient /g)).toHaveLength(1);
    expect(each.match(/fill="url\(#fill-a\.1\)"/g)).toHaveLength(3);
  });

  test("in SVG over the whole: one in the sheet's space, carried into copies only where a line is drawn between them", () => {
    const whole = svgOf(design);
    expect(whole.match(/<linearGradient /g)).toHaveLength(1);
    expect(whole).not.toContain("gradientTransform");
    const lined = svgOf(lineDesign(3, 1));
    expect(lined.match(/<stop /g)).toEqual(whole.match(/<stop /g));
    expect(lined.match(/gradientTransform=/g)).toHaveLength(3);
    expect(lined).toContain(`fill="url(#fill-a.3)"`);
  });

  const lineDesign = (count: number, width: number | null, pools = false) =>
    partDesign({ kind: "petal", length: 30, width: 14 }, [{ kind: "turn", count }], {
      finish: {
        fill: pools
          ? {
              kind: "pools",
              over: "whole",
              points: [
                { x: 0, y: 0, color: "#C8442B", reach: 1 },
                { x: 1, y: 1, color: "#17566B", reach: 1 },
              ],
            }
          : fill,
        ...(width !== null && { line: { width, paint: "#00000000" } }),
      },
    });

  test.each([false, true])("painted at once it looks as it does copy by copy (pools: %s)", (pools) => {
    const frame = { left: -40, top: -40, right: 40, bottom: 40 };
    const pixels = { width: 240, height: 240 };
    const pictureOf = (width: number | null) => {
      const scene = buildScene(lineDesign(7, width, pools));
      const svg = svgOfScene(scene, { title: "", unit: "mm", embed: null, imageDpi: 150, frame, pixels });
      return rasterise(svg, pixels.width, (rendered) => Uint8Array.from(rendered.pixels));
    };
    const [once, each] = [pictureOf(null), pictureOf(0.001)];
    const different = once.filter((value, k) => Math.abs(value - (each[k] ?? 0)) > 24).length;
    expect(different / once.length).toBeLessThan(0.004);
  });

  test("ten thousand copies under one gradient are little more than in one colour", () => {
    const of = (paint: unknown) =>
      svgOf(partDesign({ kind: "petal" }, [{ kind: "turn", count: 10_000 }], { finish: { fill: paint } })).length;
    expect(of(fill)).toBeLessThan(1.05 * of("#123456"));
  });
});

describe("a gradient from a point out over the whole", () => {
  const fan = (about: string, rules: object[]) => {
    const fill = { kind: "radial", over: "whole", about, stops };
    const line = svgOf(partDesign({ kind: "petal" }, rules, { finish: { fill } }));
    const [, cx, cy, r] = /<radialGradient[^>]* cx="([^"]+)" cy="([^"]+)" r="([^"]+)"/.exec(line) ?? [];
    return { x: Number(cx), y: Number(cy), radius: Number(r) };
  };
  const turned = { kind: "turn", count: 4, angle: 25, pivot: { x: 5, y: 20 } };

  test("lies about the pivot of the last rule that has one, and reaches as far as the copies do", () => {
    const pivoted = fan("pivot", [turned]);
    expect([pivoted.x, pivoted.y]).toEqual([5, 20]);
    // The petal's tip is farthest, 40 mm above its foot.
    expect(pivoted.radius).toBeGreaterThanOrEqual(Math.hypot(5, 60) * 0.98);
    const boxed = fan("box", [turned]);
    expect(Math.hypot(boxed.x - 5, boxed.y - 20)).toBeGreaterThan(10);
  });

  test("of rules that go round the part's centre it lies there; without rules in the box", () => {
    const { x, y } = fan("pivot", [{ kind: "ring", count: 3, radius: 30, start: 40 }]);
    expect([x, y]).toEqual([0, 0]);
    expect(fan("pivot", [])).toEqual(fan("box", []));
  });
});
