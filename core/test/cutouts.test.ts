import { beforeAll, describe, expect, test } from "@jest/globals";
import {
  boxOfPath,
  buildScene,
  needsOf,
  readDesign,
  SceneBuilder,
  segmentsOf,
  isStraight,
  writeDesign,
  parseDesign,
} from "../src";
import { areaOfPath } from "../src/geometry/path";
import { designWith, partDesign } from "./testDesign";
import { withGeometryEngine } from "./prepared";
import { svgOf } from "./making";

beforeAll(withGeometryEngine);

const geometryOf = (design: Parameters<typeof buildScene>[0]) => {
  const [part] = buildScene(design).parts;
  if (!part) throw new Error("no part");
  return part.geometry;
};
const area = (design: Parameters<typeof buildScene>[0]) => areaOfPath(geometryOf(design).path);

describe("cutouts", () => {
  test("are taken from the motif before any rule, and move with it", () => {
    const disc = { kind: "disc", radius: 20 };
    const holes = [
      { kind: "disc", radius: 5 },
      { kind: "disc", radius: 3, at: { x: 12 } },
    ];
    const cut = partDesign(disc, [{ kind: "turn", count: 5 }], { cutouts: holes });
    expect(area(cut) / (Math.PI * (400 - 25 - 9))).toBeCloseTo(1, 4);
    expect(geometryOf(cut).placements.count).toBe(5);
    const moved = partDesign({ ...disc, at: { x: 30, size: 2 } }, [], { cutouts: holes });
    expect(area(moved) / (4 * Math.PI * (400 - 25 - 9))).toBeCloseTo(1, 4);
    expect(boxOfPath(geometryOf(moved).path).right).toBeCloseTo(70, 3);
  });

  test("stay live: a number of a hole changes only what follows from it", () => {
    const design = (radius: number) =>
      designWith({
        numbers: [{ name: "hole", value: radius }],
        parts: [{ id: "a", motif: { kind: "disc" }, cutouts: [{ kind: "disc", radius: "hole" }] }],
      });
    const builder = new SceneBuilder();
    const first = builder.build(design(4)).parts[0]?.geometry;
    expect(builder.build(design(4)).parts[0]?.geometry).toBe(first);
    const second = builder.build(design(8)).parts[0]?.geometry;
    expect(areaOfPath(second?.path ?? []) / (Math.PI * (400 - 64))).toBeCloseTo(1, 4);
  });

  test("keep curves curves in the file that is made", () => {
    const svg = svgOf(
      partDesign({ kind: "disc", radius: 20 }, [], { cutouts: [{ kind: "petal", length: 30, width: 10 }] }),
    );
    const outline = /<path id="motif-a" d="([^"]+)"/.exec(svg)?.[1] ?? "";
    expect(outline.match(/C/g)?.length).toBeLessThan(20);
  });
});

describe("combined motifs", () => {
  const two = (op: string, more: object = {}) =>
    partDesign({
      kind: "compound",
      op,
      of: [
        { kind: "rectangle", width: 20, height: 20 },
        { kind: "rectangle", width: 20, height: 20, at: { x: 10 } },
      ],
      ...more,
    });

  test("are united, subtracted, intersected, excluded", () => {
    expect(area(two("union"))).toBeCloseTo(600, 6);
    expect(area(two("difference"))).toBeCloseTo(200, 6);
    expect(area(two("intersection"))).toBeCloseTo(200, 6);
    expect(area(two("exclusive"))).toBeCloseTo(400, 6);
    expect(area(two("union", { at: { size: 0.5 } }))).toBeCloseTo(150, 6);
  });

  test("nest in each other, and in cutouts, through the file and back", () => {
    const design = partDesign(
      {
        kind: "compound",
        op: "union",
        of: [
          {
            kind: "compound",
            op: "difference",
            of: [
              { kind: "disc", radius: 20 },
              { kind: "disc", radius: 10 },
            ],
          },
          { kind: "disc", radius: 5 },
        ],
      },
      [],
      { cutouts: [{ kind: "compound", op: "union", of: [{ kind: "disc", radius: 2 }] }] },
    );
    expect(area(design) / (Math.PI * (400 - 100 + 25 - 4))).toBeCloseTo(1, 4);
    expect(parseDesign(writeDesign(design)).design).toEqual(design);
    expect(needsOf(design).geometryEngine).toBe(true);
    expect(needsOf(partDesign({ kind: "disc" })).geometryEngine).toBe(false);
  });

  test("faults deep inside are told at their path; bottomless nesting is refused", () => {
    const read = (motif: unknown) => readDesign({ format: "twin-petal/1", parts: [{ id: "a", motif }] }).problems;
    expect(read({ kind: "compound", of: [{ kind: "disc", radius: -1 }] })[0]?.path).toBe("parts[0].motif.of[0].radius");
    expect(read({ kind: "compound", of: [{ kind: "blob" }] })[0]?.path).toBe("parts[0].motif.of[0].kind");
    let motif: unknown = { kind: "disc" };
    for (let level = 0; level < 2_000; level++) motif = { kind: "compound", of: [motif] };
    expect(read(motif)[0]?.message).toContain("nested");
  });
});

describe("trimmed to the wedge", () => {
  test("a motif keeps to the sector its fold owns, or to half of it when it is reflected before", () => {
    const trimmed = (rules: readonly object[]) =>
      partDesign({ kind: "disc", radius: 20 }, rules, { join: { trimToWedge: true } });
    expect(area(trimmed([{ kind: "turn", count: 6 }])) / ((Math.PI * 400) / 6)).toBeCloseTo(1, 4);
    const half = trimmed([{ kind: "reflect" }, { kind: "turn", count: 6 }]);
    expect(area(half) / ((Math.PI * 400) / 12)).toBeCloseTo(1, 4);
    // Two straight sides along the wedge; the rim stays a true arc.
    const segments = geometryOf(half).path.flatMap(segmentsOf);
    expect(segments.filter(isStraight)).toHaveLength(2);
  });

  test("copies of a trimmed motif cover the whole once: areas add up to the circle's", () => {
    const design = partDesign({ kind: "disc", radius: 20, at: { x: 3 } }, [{ kind: "turn", count: 5 }], {
      join: { trimToWedge: true },
    });
    const { path, placements } = geometryOf(design);
    expect(placements.count).toBe(5);
    expect(5 * areaOfPath(path)).toBeLessThan(Math.PI * 23 * 23);
    const { left, right } = boxOfPath(path);
    expect(right - left).toBeLessThan(2 * 23 * Math.sin(Math.PI / 5) + 1e-6);
  });
});
