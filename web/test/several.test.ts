import { describe, expect, test } from "@jest/globals";
import { buildScene, designResolver, readDesign, resolvePlace, scopeOf, type Design } from "@twin-petal/core";
import { applyEdit } from "@/store/edit";
import { movedPlace } from "@/store/edits/moved";
import {
  duplicateSeveral,
  lockSeveral,
  moveSeveral,
  removeSeveral,
  showSeveral,
  sizeSeveral,
  turnSeveral,
} from "@/store/edits/several";

function designOf(parts: readonly object[], numbers: readonly object[] = []): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", parts, numbers });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

const NUMBERS = new Map([["shift", 4]]);
const THREE = designOf(
  [
    { id: "a", motif: { kind: "disc" }, at: { x: -30 } },
    { id: "b", motif: { kind: "disc" }, at: { x: "shift * 2", turn: 20, size: 2 } },
    { id: "c", motif: { kind: "disc" }, at: { x: 30 }, locked: true },
  ],
  [{ name: "shift", value: 4 }],
);
const IDS = ["a", "b", "c"];
const placeOf = (design: Design, id: string) => {
  const part = design.parts.find((known) => known.id === id);
  if (!part) throw new Error(id);
  return resolvePlace(part.at, designResolver(scopeOf(NUMBERS)), "");
};

describe("several parts at once", () => {
  test("are moved where they stand, formulas as formulas; what is locked stays", () => {
    const moved = applyEdit(THREE, moveSeveral(THREE, IDS, { x: 5, y: -2 }));
    expect(moved.parts.map(({ at }) => [at.x, at.y])).toEqual([
      [-25, -2],
      ["(shift * 2) + 5", -2],
      [30, 0],
    ]);
    expect(movedPlace({ x: "n", y: 0, turn: 0, size: 1 }, { x: 0, y: 3 })).toEqual({ x: "n", y: 3, turn: 0, size: 1 });
  });

  test("a pull is counted from where it began, whatever it did meanwhile", () => {
    const first = applyEdit(THREE, moveSeveral(THREE, IDS, { x: 5, y: 0 }, "pull"));
    const second = applyEdit(first, moveSeveral(THREE, IDS, { x: 7, y: 0 }, "pull"));
    expect(second.parts[0]?.at.x).toBe(-23);
  });

  test("are turned and sized about one point, each turned and sized itself as much", () => {
    const turned = applyEdit(THREE, turnSeveral(THREE, IDS, 90, { x: 0, y: 0 }, NUMBERS));
    // To the left of the middle comes above it.
    expect(placeOf(turned, "a").slice(4)).toEqual([expect.closeTo(0, 6), expect.closeTo(-30, 6)]);
    expect(turned.parts[1]?.at).toMatchObject({ x: 0, y: 8, turn: 110, size: 2 });
    const sized = applyEdit(THREE, sizeSeveral(THREE, IDS, 1.5, { x: -30, y: 0 }, NUMBERS));
    expect(sized.parts[0]?.at).toMatchObject({ x: -30, size: 1.5 });
    expect(sized.parts[1]?.at).toMatchObject({ x: 27, turn: 20, size: 3 });
  });

  test("are hidden, locked, removed but for what is locked, and doubled beside themselves", () => {
    const hidden = applyEdit(THREE, showSeveral(IDS, false));
    expect(hidden.parts.map(({ visible }) => visible)).toEqual([false, false, false]);
    expect(applyEdit(THREE, lockSeveral(["a"], true)).parts.map(({ locked }) => locked)).toEqual([true, false, true]);
    expect(applyEdit(THREE, removeSeveral(IDS)).parts.map(({ id }) => id)).toEqual(["c"]);
    const { edit, ids } = duplicateSeveral(THREE, ["a", "b"]);
    const doubled = applyEdit(THREE, edit);
    expect(doubled.parts.map(({ id }) => id)).toEqual(["a", ids[0], "b", ids[1], "c"]);
    expect(buildScene(doubled).problems).toEqual([]);
    expect(placeOf(doubled, ids[1] ?? "").slice(4)).toEqual([18, 10]);
  });
});
