import { describe, expect, test } from "@jest/globals";
import { boxOfGeometry, readDesign, SceneBuilder } from "../src";
import { designWith } from "./testDesign";
import { partOf } from "./scenes";
import { svgOf } from "./making";

const rosette = (more: object = {}) => ({
  id: "rosette",
  role: "tool",
  motif: { kind: "petal", length: 10, width: 4 },
  rules: [{ kind: "turn", count: 5 }],
  finish: { fill: { kind: "cycle", colors: ["#111111", "#222222"] }, line: { width: 0.4, paint: "#333333" } },
  ...more,
});
const used = (id: string, rules: readonly object[] = [], more: object = {}) => ({
  id: "a",
  motif: { kind: "part", part: id },
  rules,
  ...more,
});

describe("a part as another part's motif", () => {
  test("keeps its copies' colours and lines, about its own origin wherever it stands", () => {
    const design = designWith({
      parts: [rosette({ at: { x: 70, y: 20 } }), used("rosette", [{ kind: "ring", count: 3 }])],
    });
    const part = partOf(design);
    const pieces = part.geometry.shapes[0]?.pieces ?? [];
    expect(pieces.map(({ fill }) => fill)).toEqual([0, 1, 0, 1, 0].map((k) => ({ own: ["#111111", "#222222"][k] })));
    expect(pieces[0]?.line).toMatchObject({ width: 0.4, paint: { own: "#333333" } });
    const reach = boxOfGeometry(part.geometry);
    expect(reach.top).toBeCloseTo(-60, 6);
    const svg = svgOf(design);
    expect(svg.match(/<use /g)).toHaveLength(3);
    expect(svg).toContain(`fill="#222222"`);
  });

  test("its colour and its rules go on being followed", () => {
    const builder = new SceneBuilder();
    const build = (color: string, count: number) =>
      builder.build(
        designWith({
          parts: [rosette({ finish: { fill: color }, rules: [{ kind: "turn", count }] }), used("rosette")],
        }),
      ).parts[1];
    const before = build("#AA0000", 5);
    expect(build("#00BB00", 5)?.geometry.shapes[0]?.pieces?.[0]?.fill).toEqual({ own: "#00BB00" });
    expect(build("#00BB00", 7)?.geometry.shapes[0]?.pieces).toHaveLength(7);
    expect(before?.geometry.shapes[0]?.pieces).toHaveLength(5);
  });

  test("nests to any depth, and cutouts are taken from it", () => {
    const design = designWith({
      parts: [
        rosette(),
        { id: "b", motif: { kind: "part", part: "rosette" }, rules: [{ kind: "turn", count: 2 }] },
        { id: "c", motif: { kind: "part", part: "b" }, rules: [{ kind: "turn", count: 3, pivot: { x: 20, y: 0 } }] },
        used("c", [{ kind: "step", count: 2, move: { x: 9, y: 0 } }]),
      ],
    });
    expect(partOf(design).geometry.shapes[0]?.pieces).toHaveLength(30);
  });

  test("a circle of parts is refused in words, naming it", () => {
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [
        { id: "x", motif: { kind: "part", part: "y" } },
        { id: "y", motif: { kind: "disc" }, rules: [{ kind: "along", path: "x" }] },
      ],
    });
    expect(problems.map(({ path, message }) => [path, message])).toEqual([
      ["parts[0].motif", expect.stringContaining("x → y → x")],
      ["parts[1].rules[0]", expect.stringContaining("y → x → y")],
    ]);
  });

  test("too many pieces in all are refused before they are computed", () => {
    const many = { kind: "grid", columns: 400, rows: 100 };
    const { problems } = readDesign({
      format: "twin-petal/1",
      parts: [rosette({ rules: [many] }), used("rosette", [{ kind: "turn", count: 12 }])],
    });
    expect(problems[0]?.message).toContain("480,000 pieces");
  });
});
