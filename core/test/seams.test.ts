import { beforeAll, describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { PNG } from "pngjs";
import { buildScene, seamsOf, type Design } from "../src";
import { makePng } from "../src/make/png";
import { withGeometryEngine, withRasteriser } from "./prepared";
import { designWith } from "./testDesign";
import { members } from "./randomMembers";

beforeAll(async () => {
  await withGeometryEngine();
  await withRasteriser();
});

const whole = (min: number, max: number) => fc.integer({ min, max });
const COLORS = ["#20104A", "#4A1020", "#103A20"];
const MOST = [0x4a, 0x3a, 0x4a];
const triangle = (x: number, y: number, z: number) => [
  { x: 0, y: 0 },
  { x: -x, y: -y },
  { x: z, y: -y },
];

interface Tiled {
  /** What covers a disc about the sheet's middle without a gap. */
  readonly parts: readonly object[];
  /** Its radius, millimetres. */
  readonly radius: number;
}

const fill = (colors: readonly string[]) => ({ fill: { kind: "cycle", colors } });

/** Facets that touch: fans of triangles, halves that are mirrored, bricks, hexagons, each turned as a whole. */
const touching = fc.oneof(
  fc.record({ count: whole(3, 24), turn: whole(0, 90) }).map(({ count, turn }): Tiled => {
    const half = 40 * Math.tan(Math.PI / count);
    const motif = { kind: "drawn", paths: [{ closed: true, nodes: triangle(half, 40, half) }] };
    return { parts: [{ motif, rules: [{ kind: "turn", count }], at: { turn }, finish: fill(COLORS) }], radius: 38 };
  }),
  fc.record({ count: whole(2, 9), turn: whole(0, 90) }).map(({ count, turn }): Tiled => {
    const half = 40 * Math.tan(Math.PI / (2 * count));
    const motif = { kind: "drawn", paths: [{ closed: true, nodes: triangle(0, 40, half) }] };
    const rules = [
      { kind: "reflect", angle: 0 },
      { kind: "turn", count: 2 * count },
    ];
    return { parts: [{ motif, rules, at: { turn }, finish: fill(COLORS.slice(0, 2)) }], radius: 38 };
  }),
  fc.record({ width: whole(8, 20), turn: whole(0, 90), same: fc.boolean() }).map(({ width, turn, same }): Tiled => {
    const rules = [{ kind: "grid", lattice: "brick", columns: 7, rows: 9, pitch: { x: width, y: 9 } }];
    const motif = { kind: "rectangle", width, height: 9 };
    return { parts: [{ motif, rules, at: { turn }, finish: fill(same ? COLORS.slice(0, 1) : COLORS) }], radius: 20 };
  }),
  fc.record({ radius: whole(5, 9), turn: whole(0, 90) }).map(({ radius, turn }): Tiled => {
    const rules = [{ kind: "grid", lattice: "hex", columns: 9, rows: 9, pitch: radius * Math.sqrt(3) }];
    return {
      parts: [{ motif: { kind: "polygon", sides: 6, radius }, rules, at: { turn }, finish: fill(COLORS) }],
      radius: 20,
    };
  }),
  whole(0, 90).map((turn): Tiled => {
    const half = (id: string, angle: number, color: string) => ({
      id,
      motif: {
        kind: "drawn",
        paths: [
          {
            closed: true,
            nodes: [
              { x: 0, y: -40 },
              { x: 40, y: -40 },
              { x: 40, y: 40 },
              { x: 0, y: 40 },
            ],
          },
        ],
      },
      rules: [{ kind: "turn", count: 1 }],
      at: { turn: turn + angle },
      finish: { fill: color },
    });
    return { parts: [half("left", 180, "#20104A"), half("right", 0, "#4A1020")], radius: 36 };
  }),
  fc.record({ count: whole(3, 6), pitch: whole(10, 14) }).map(({ count, pitch }): Tiled => {
    const rules = [{ kind: "grid", columns: count, rows: count, pitch }];
    const motif = { kind: "disc", radius: pitch };
    const join = { mode: "faces", colors: COLORS };
    return { parts: [{ motif, rules, join, at: { turn: 17 } }], radius: (count * pitch) / 3 };
  }),
);

function designOf({ parts }: Tiled): Design {
  return designWith({ sheet: { width: 100, height: 100 }, parts: parts.map((part, k) => ({ id: `p${k}`, ...part })) });
}

/** How much lighter than any colour used the lightest pixel is within a disc about the middle. */
function lightest(design: Design, radius: number, width: number): number {
  const { data } = PNG.sync.read(Buffer.from(makePng(buildScene(design), width)));
  let most = 0;
  for (let y = 0; y < width; y++) {
    for (let x = 0; x < width; x++) {
      const far = (Math.hypot(x + 0.5 - width / 2, y + 0.5 - width / 2) * 100) / width;
      if (far > radius - 1) continue;
      for (let c = 0; c < 3; c++) most = Math.max(most, (data[4 * (y * width + x) + c] ?? 0) - (MOST[c] ?? 0));
    }
  }
  return most;
}

describe("seams between areas that touch", () => {
  test("no pixel is lighter than its two sides by more than 3 of 255", () => {
    fc.assert(
      fc.property(touching, whole(200, 420), (tiled, width) => {
        expect(lightest(designOf(tiled), tiled.radius, width)).toBeLessThanOrEqual(3);
      }),
      { numRuns: members(16) },
    );
  });

  test("areas that lie over each other, or are clear, have none", () => {
    const ring = { motif: { kind: "disc", radius: 9 }, rules: [{ kind: "ring", count: 8, radius: 20 }] };
    expect(seamsOf(buildScene(designOf({ parts: [ring], radius: 0 }))).seams).toEqual([]);
    const bricks = { motif: { kind: "rectangle" }, rules: [{ kind: "grid", pitch: 10 }], finish: { opacity: 0.5 } };
    expect(seamsOf(buildScene(designOf({ parts: [bricks], radius: 0 }))).seams).toEqual([]);
  });
});
