import { beforeAll, describe, expect, test } from "@jest/globals";
import {
  buildScene,
  designForSolids,
  makeBodies,
  MOST_UNITED_TRIANGLES,
  readDesign,
  SolidLayouter,
  writeDesign,
  parseDesign,
} from "../src";
import { withGeometryEngine, withSolidEngine } from "./prepared";
import { layoutOf, modelOf } from "./solidModels";
import { designWith, partDesign } from "./testDesign";

beforeAll(async () => {
  await Promise.all([withGeometryEngine(), withSolidEngine()]);
});

const problemsOf = (solid: object, motif: object = { kind: "disc", radius: 5 }) =>
  readDesign({ format: "twin-petal/1", name: "A", parts: [{ id: "a", name: "Lid", motif, solid }] }).problems;

describe("a solid that cannot be made is told: thing, place, reason and way out", () => {
  test.each<[string, object, string, string]>([
    ["depth 0", { depth: 0 }, "parts[0].solid.depth", "0.001"],
    ["depth below 0", { depth: -3 }, "parts[0].solid.depth", "0.001"],
    ["no depth", {}, "parts[0].solid.depth", "missing"],
    ["no depth of a dome", { form: "dome" }, "parts[0].solid.depth", "missing"],
    ["an unknown form", { form: "cone", depth: 3 }, "parts[0].solid.form", "prism"],
    ["a lift that is no length", { depth: 3, lift: "high above" }, "parts[0].solid.lift", "high above"],
    ["an unknown field", { depth: 3, hollow: true }, "parts[0].solid.hollow", "not a field"],
    ["a formula that is wrong", { depth: "2 *" }, "parts[0].solid.depth", "2 *"],
  ])("%s", (_, solid, path, words) => {
    expect(problemsOf(solid)).toEqual([{ path, message: expect.stringContaining(words) }]);
  });

  test("a revolved solid needs no depth", () => {
    expect(problemsOf({ form: "revolve" })).toEqual([]);
  });

  test("a revolve of what lies left of the axis", () => {
    const { problems } = layoutOf(
      designWith({
        parts: [
          { id: "a", name: "Knob", motif: { kind: "disc", radius: 5, at: { x: -20 } }, solid: { form: "revolve" } },
        ],
      }),
    );
    expect(problems).toEqual([
      { path: "parts[0].solid.form", message: expect.stringMatching(/^Knob .*lies left; move it right/) },
    ]);
  });

  test.each<[string, object]>([
    ["a wide prism twisted ten times at a fine tolerance", { depth: 40, twist: 3600 }],
    ["one drawn out ten metres", { depth: 10_000, twist: 3600 }],
  ])("%s has more corners than there is time for", (_, solid) => {
    const design = partDesign({ kind: "star", outer: 400, inner: 100 }, [], { name: "Fan", solid });
    const { problems, parts } = new SolidLayouter().layOut(design, buildScene(design), 0.001);
    expect(parts).toEqual([]);
    expect(problems).toEqual([
      {
        path: "parts[0].solid",
        message: expect.stringMatching(
          /^Fan takes about .* to stand up, .*: make the tolerance coarser, or twist it less$/,
        ),
      },
    ]);
  });

  test("a line without a width, and a fill without one", () => {
    const { problems } = layoutOf(partDesign({ kind: "line", length: 9 }, [], { name: "Rod", solid: { depth: 2 } }));
    expect(problems).toEqual([
      { path: "parts[0].solid", message: expect.stringMatching(/^Rod has neither an area nor a line/) },
    ]);
  });

  test("more triangles than are united: the part is named, and nothing is computed", async () => {
    const layout = layoutOf(
      partDesign({ kind: "disc", radius: 5 }, [{ kind: "grid", columns: 100, rows: 100, pitch: 12 }], {
        name: "Studs",
        solid: { depth: 2, edge: { size: 0.5 } },
      }),
      0.001,
    );
    const { bodies, problems } = await makeBodies(layout, () => Promise.reject(new Error("nothing is to be computed")));
    expect(bodies).toEqual([]);
    expect(problems).toEqual([
      { path: "parts[0].solid", message: expect.stringContaining(MOST_UNITED_TRIANGLES.toLocaleString("en")) },
    ]);
    expect(problems[0]?.message).toMatch(/^Studs .*lower its count or make the tolerance coarser$/);
  });

  test("what stood last stays in view, in its place among the others", () => {
    const layouter = new SolidLayouter();
    const knob = (x: number) =>
      designWith({
        parts: [
          { id: "a", motif: { kind: "disc", radius: 5, at: { x } }, solid: { form: "revolve" } },
          { id: "b", motif: { kind: "disc", radius: 3 }, solid: { depth: 2 } },
        ],
      });
    const lay = (x: number) => layouter.layOut(knob(x), buildScene(designForSolids(knob(x))), 0.1);
    const before = lay(0);
    const after = lay(-20);
    expect(after.problems).toHaveLength(1);
    expect(after.parts.map(({ id }) => id)).toEqual(["a", "b"]);
    expect(after.parts[0]).toBe(before.parts[0]);
  });
});

describe("what is stopped stops", () => {
  test("between two steps, giving back what it held", async () => {
    const layout = layoutOf(partDesign({ kind: "petal" }, [{ kind: "turn", count: 40 }], { solid: { depth: 3 } }), 0.2);
    let steps = 0;
    const stopping = makeBodies(layout, () => (++steps > 3 ? Promise.reject(new Error("stopped")) : Promise.resolve()));
    await expect(stopping).rejects.toThrow("stopped");
    expect(steps).toBe(4);
  });

  test("shares grow from 0 to 1", async () => {
    const layout = layoutOf(partDesign({ kind: "petal" }, [{ kind: "turn", count: 40 }], { solid: { depth: 3 } }), 0.2);
    const shares: number[] = [];
    await makeBodies(layout, (share) => Promise.resolve(void shares.push(share)), true);
    expect(shares.length).toBeGreaterThan(10);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.at(-1)).toBeLessThanOrEqual(1);
  });
});

describe("meshes are kept", () => {
  const layouter = new SolidLayouter();
  const lay = (rules: object[], fill: string, depth: number) => {
    const design = partDesign({ kind: "petal" }, rules, { finish: { fill }, solid: { depth } });
    return layouter.layOut(design, buildScene(design), 0.1).parts[0]?.groups[0];
  };

  test("a new colour, count or turn makes no mesh again, a new depth does", () => {
    const first = lay([{ kind: "turn", count: 5 }], "#111111", 3);
    const colored = lay([{ kind: "turn", count: 5 }], "#222222", 3);
    // Another scene draws the motif anew: only one whose outline is the same object is known.
    expect(colored?.mesh.triangles.length).toBe(first?.mesh.triangles.length);
    expect(colored?.colors).toEqual(Array.from({ length: 5 }, () => "#222222"));
    expect(lay([{ kind: "turn", count: 5 }], "#222222", 4)?.mesh).not.toBe(colored?.mesh);
  });
});

describe("the file", () => {
  test("keeps what a solid says, leaves out what is at its default, and opens again", () => {
    const solid = { depth: "4 + 1", edge: { size: 1, at: "top" }, tilt: { x: 30 }, lift: "rest" };
    const design = partDesign({ kind: "disc" }, [], { solid });
    const { parts }: { parts: { solid: unknown }[] } = JSON.parse(writeDesign(design));
    expect(parts[0]?.solid).toEqual(solid);
    expect(parseDesign(writeDesign(design)).design).toEqual(design);
  });

  test("a step of nothing but height leaves every copy, also where each is to be there once", async () => {
    const stacked = (oneEach: boolean) =>
      modelOf(
        partDesign({ kind: "disc", radius: 5 }, [{ kind: "step", count: 4, rise: 10 }], {
          oneEach,
          solid: { depth: 2 },
        }),
        0.1,
      );
    expect((await stacked(true)).bodies[0]?.pieces).toBe(4);
    expect((await stacked(false)).bodies[0]?.pieces).toBe(4);
  });

  test("copies that a join leaves apart keep their feet and heights; a part in a part keeps its own", async () => {
    const rules = [
      { kind: "ring", count: 3, radius: 20 },
      { kind: "vary", rise: "5 * i" },
    ];
    const cut = { id: "c", role: "tool", motif: { kind: "disc", radius: 1 } };
    const posts = {
      id: "a",
      motif: { kind: "rectangle", width: 4, height: 8 },
      rules,
      solid: { depth: 2, tilt: { x: 90 } },
    };
    const free = layoutOf(designWith({ parts: [posts] }));
    const joined = layoutOf(designWith({ parts: [cut, { ...posts, join: { cutBy: ["c"] } }] }));
    const matrices = (layout: typeof free) =>
      layout.parts[0]?.groups.flatMap((group) => [...group.matrices]).map((value) => value.toFixed(9));
    expect(matrices(joined)).toEqual(matrices(free));
    const nested = await modelOf(
      designWith({
        parts: [
          {
            id: "a",
            visible: false,
            motif: { kind: "disc", radius: 3 },
            rules: [{ kind: "step", count: 3, rise: 6, move: { x: 10, y: 0 } }],
          },
          { id: "b", motif: { kind: "part", part: "a" }, solid: { depth: 2 } },
        ],
      }),
      0.05,
    );
    expect(nested.bodies[0]?.pieces).toBe(3);
    const tops = nested.bodies[0]?.mesh.positions.filter((_, index) => index % 3 === 2);
    expect([...new Set([...(tops ?? [])].map((z) => Math.round(z)))].sort((a, b) => a - b)).toEqual([
      0, 2, 6, 8, 12, 14,
    ]);
  });
});
