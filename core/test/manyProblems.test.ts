import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { readDesign } from "../src";

const times = <T>(count: number, entry: (index: number) => T): T[] => Array.from({ length: count }, (_, k) => entry(k));
const problemsOf = (content: object) => readDesign({ format: "twin-petal/1", ...content }).problems;
const MORE = { path: "", message: "has more problems than these" };

const node = (isWrong: boolean) => (isWrong ? { x: "bad +", y: {}, z: 1 } : { x: 1, y: 2 });
const part = (id: number, wrong: readonly boolean[]) => ({
  id: `p${id}`,
  motif: { kind: "drawn", paths: [{ closed: true, nodes: wrong.map(node) }] },
});

describe("of very many problems", () => {
  test("200 are told, and that there are more, however many there are and however deep", () => {
    const parts = times(500, (k) => part(k, new Array<boolean>(200).fill(true)));
    const problems = problemsOf({ parts });
    expect(problems).toHaveLength(201);
    expect(problems.at(-1)).toEqual(MORE);
    expect(problems[0]).toEqual({ path: "parts[0].motif.paths[0].nodes[0].x", message: expect.any(String) });
    // No later part is looked at.
    expect(problems.every(({ path }) => path === "" || path.startsWith("parts[0].motif"))).toBe(true);
  });

  test("all are told where they are few, each at its own path, wherever they stand in their lists", () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.boolean(), { minLength: 2, maxLength: 6 }), { minLength: 1, maxLength: 8 }),
        (wrong) => {
          const expected = wrong.flatMap((own, k) =>
            own.flatMap((isWrong, n) =>
              isWrong ? ["x", "y", "z"].map((key) => `parts[${k}].motif.paths[0].nodes[${n}].${key}`) : [],
            ),
          );
          const found = problemsOf({ parts: wrong.map((own, k) => part(k, own)) });
          expect(found.map(({ path }) => path).sort()).toEqual(expected.sort());
        },
      ),
    );
  });

  test("an unknown kind is told at its own path, whatever list it stands in", () => {
    const wrong = { kind: "blob" };
    const paths = problemsOf({
      parts: [
        { id: "a", motif: { kind: "compound", of: [{ kind: "disc" }, wrong] }, rules: [{ kind: "turn" }, wrong] },
        { id: "b", motif: wrong, cutouts: [wrong], finish: { fill: wrong } },
      ],
    }).map(({ path }) => path);
    expect(paths.sort()).toEqual([
      "parts[0].motif.of[1].kind",
      "parts[0].rules[1].kind",
      "parts[1].cutouts[0].kind",
      "parts[1].finish.fill.kind",
      "parts[1].motif.kind",
    ]);
  });

  test("an entry that is left out, or is none, is told where it is missing; what may be null may be so", () => {
    expect(problemsOf({ parts: [null, 3, { id: "a", motif: { kind: "disc" } }] }).map(({ path }) => path)).toEqual([
      "parts[0]",
      "parts[1]",
    ]);
    const strokes = times(2, (k) => [
      [0, k, 0.5],
      [10, k, 0.5],
    ]);
    const freehand = (more: object) =>
      problemsOf({ parts: [{ id: "a", motif: { kind: "freehand", strokes, ...more } }] });
    expect(freehand({ styles: [null, { width: 2 }] })).toEqual([]);
    expect(freehand({ strokes: [strokes[0], [[0, 0]]] }).map(({ path }) => path)).toEqual([
      "parts[0].motif.strokes[1][0]",
    ]);
  });
});
