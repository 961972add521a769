import { beforeAll, describe, expect, test } from "@jest/globals";
import { boxOfMesh, volumeOfMesh, type Design, type SolidBody } from "../src";
import { withGeometryEngine, withSolidEngine } from "./prepared";
import { layoutOf, modelOf } from "./solidModels";
import { designWith, partDesign } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

async function bodyOf(design: Design, tolerance?: number): Promise<SolidBody> {
  const { bodies, problems } = await modelOf(design, tolerance);
  expect(problems).toEqual([]);
  const [body] = bodies;
  if (!body || bodies.length > 1) throw new Error(`${bodies.length} bodies`);
  return body;
}

const heights = ({ mesh }: SolidBody) => {
  const box = boxOfMesh(mesh);
  return [box?.min[2] ?? NaN, box?.max[2] ?? NaN];
};
const shareOff = (value: number, right: number) => Math.abs(value - right) / right;

const HOLES = { motif: { kind: "disc", radius: 4 }, rules: [{ kind: "ring", count: 24, radius: 40 }] };
const DISC = { kind: "disc", radius: 60 };
/** π·60²·5 less 24 · π·4²·5. */
const PLATE = Math.PI * 5 * (60 * 60 - 24 * 16);

describe("worked figures", () => {
  test.each([
    [
      "holes by cutBy",
      [
        { id: "holes", role: "tool", ...HOLES },
        { id: "plate", motif: DISC, join: { cutBy: ["holes"] }, solid: { depth: 5 } },
      ],
    ],
    [
      "holes as cutters",
      [
        { id: "plate", motif: DISC, solid: { depth: 5 } },
        { id: "holes", ...HOLES, solid: { depth: 5, role: "cutter" } },
      ],
    ],
    [
      "holes as cutters that are tools, named",
      [
        { id: "holes", role: "tool", ...HOLES, solid: { depth: 5, role: "cutter" } },
        { id: "plate", motif: DISC, join: { cutBy: ["holes"] }, solid: { depth: 5 } },
      ],
    ],
  ])("a plate of 24 holes: %s", async (_, parts) => {
    const body = await bodyOf(designWith({ parts }));
    expect(PLATE).toBeCloseTo(50_516.8, 0);
    expect(body.genus).toBe(24);
    expect(body.pieces).toBe(1);
    expect(shareOff(body.volume, PLATE)).toBeLessThan(1e-3);
    expect(shareOff(volumeOfMesh(body.mesh), PLATE)).toBeLessThan(1e-3);
  });

  test("a ring 2 deep", async () => {
    const body = await bodyOf(partDesign({ kind: "ring", outer: 7.5, inner: 5 }, [], { solid: { depth: 2 } }));
    expect(shareOff(body.volume, 2 * Math.PI * (7.5 ** 2 - 5 ** 2))).toBeLessThan(1e-3);
    expect(body.genus).toBe(1);
  });

  test("a hoop of sixteen tilted decagons that rests on the bed", async () => {
    const decagon = (radius: number) => ({ kind: "polygon", sides: 10, radius, start: 0 });
    const motif = { kind: "compound", op: "difference", of: [decagon(60), decagon(55)] };
    const solid = { depth: 4, tilt: { y: 50, z: 30 }, lift: "rest" };
    const body = await bodyOf(partDesign(motif, [{ kind: "ring", count: 16, radius: 10 }], { solid }));
    expect(body.genus).toBe(33);
    expect(shareOff(body.volume, 100_883)).toBeLessThan(5e-4);
    expect(heights(body)[0]).toBeCloseTo(0, 4);
    expect(heights(body)[1]).toBeCloseTo(89.997, 3);
  });

  test("a rectangle twisted by a quarter", async () => {
    const motif = { kind: "rectangle", width: 10, height: 6, at: { y: 3 } };
    const body = await bodyOf(partDesign(motif, [], { solid: { depth: 4, twist: 90 } }));
    expect(shareOff(body.volume, 240)).toBeLessThan(1e-3);
    const top = Array.from({ length: body.mesh.positions.length / 3 }, (_, k) => [
      body.mesh.positions[k * 3] ?? 0,
      body.mesh.positions[k * 3 + 1] ?? 0,
      body.mesh.positions[k * 3 + 2] ?? 0,
    ]).filter(([, , z]) => Math.abs((z ?? 0) - 4) < 1e-5);
    expect(Math.max(...top.map(([x]) => x ?? 0))).toBeCloseTo(3, 4);
    expect(Math.max(...top.map(([, y]) => y ?? 0))).toBeCloseTo(5, 4);
  });

  test("a twist runs clockwise as seen from above", async () => {
    const motif = { kind: "rectangle", width: 2, height: 1, at: { x: 10, y: 0.5 } };
    const body = await bodyOf(partDesign(motif, [], { solid: { depth: 4, twist: 90 } }));
    // From the right (east) a quarter clockwise is towards the viewer, −y.
    expect(boxOfMesh(body.mesh)?.min[1]).toBeCloseTo(-11, 1);
    expect(boxOfMesh(body.mesh)?.max[1]).toBeLessThan(1);
  });

  test("half a disc revolved is a sphere", async () => {
    const body = await bodyOf(partDesign({ kind: "disc", radius: 10 }, [], { solid: { form: "revolve" } }), 0.001);
    expect(shareOff(body.volume, 4188.79)).toBeLessThan(1e-3);
    expect(shareOff(body.area, 1256.64)).toBeLessThan(1e-3);
    expect(body.genus).toBe(0);
  });

  test("a disc with edges rounded all round", async () => {
    const edge = { size: 2, shape: "round" };
    const body = await bodyOf(partDesign({ kind: "disc", radius: 20 }, [], { solid: { depth: 6, edge } }));
    // Pappus: the square less its quarter disc, r²(1 − π/4), lies r(10 − 3π)/(12 − 3π) from the corner.
    const taken = 4 * (1 - Math.PI / 4);
    const middle = 20 - (2 * (10 - 3 * Math.PI)) / (12 - 3 * Math.PI);
    const right = Math.PI * 400 * 6 - 2 * 2 * Math.PI * middle * taken;
    expect(shareOff(body.volume, right)).toBeLessThan(2e-3);
    expect(heights(body)).toEqual([0, 6]);
  });

  test("a bevel takes a ring of triangle section away, from one edge or from both", async () => {
    const beveled = (at: string) =>
      bodyOf(
        partDesign({ kind: "disc", radius: 20 }, [], { solid: { depth: 6, edge: { size: 2, shape: "bevel", at } } }),
      );
    const one = 2 * Math.PI * (20 - 2 / 3) * 2;
    const whole = Math.PI * 400 * 6;
    expect(shareOff((await beveled("top")).volume, whole - one)).toBeLessThan(1e-3);
    expect(shareOff((await beveled("both")).volume, whole - 2 * one)).toBeLessThan(1e-3);
  });

  test("a dome over a disc is half an ellipsoid", async () => {
    const solid = { form: "dome", depth: 8 };
    const body = await bodyOf(partDesign({ kind: "disc", radius: 20 }, [], { solid }));
    expect(shareOff(body.volume, (2 / 3) * Math.PI * 400 * 8)).toBeLessThan(3e-3);
    expect(heights(body)[1]).toBeCloseTo(8, 4);
  });

  test("a taper makes a frustum", async () => {
    const motif = { kind: "rectangle", width: 10, height: 10 };
    const body = await bodyOf(partDesign(motif, [], { solid: { depth: 6, taper: 0.5 } }));
    expect(body.volume).toBeCloseTo((6 / 3) * (100 + 25 + 50), 3);
  });

  test("a step rises and its height shrinks", () => {
    const rules = [{ kind: "step", count: 20, rise: 2.5, zScale: 0.95 }];
    const layout = layoutOf(partDesign({ kind: "disc", radius: 5 }, rules, { solid: { depth: 4 } }));
    const matrices = layout.parts[0]?.groups[0]?.matrices;
    expect(matrices?.[19 * 12 + 11]).toBeCloseTo(47.5, 9);
    expect(matrices?.[19 * 12 + 8]).toBeCloseTo(0.95 ** 19, 12);
  });
});
