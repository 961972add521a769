import { expect, test } from "@jest/globals";
import { buildScene, readDesign } from "@twin-petal/core";
import { ornamentBox } from "@/paint/ornamentBox";
import { tileBox } from "@/paint/tileBox";

function sceneOf(parts: readonly object[]) {
  const { design } = readDesign({ format: "twin-petal/1", parts });
  if (!design) throw new Error("the parts cannot be read");
  return buildScene(design);
}

test("a small picture shows the ornament, and by itself a part that would hardly be seen in it", () => {
  const scene = sceneOf([
    { id: "card", motif: { kind: "rectangle", width: 160, height: 120 }, at: { y: 60 } },
    { id: "bead", motif: { kind: "disc", radius: 5 }, at: { x: 40, y: 20 } },
    { id: "rosette", motif: { kind: "disc", radius: 50 } },
  ]);
  expect(ornamentBox(scene, null)).toEqual({
    left: -92,
    right: 92,
    top: expect.closeTo(-69, 9),
    bottom: expect.closeTo(69, 9),
  });
  expect(ornamentBox(scene, "rosette")).toEqual(ornamentBox(scene, null));
  const near = ornamentBox(scene, "bead");
  expect([near.left, near.right]).toEqual([32, 48]);
  expect([near.top, near.bottom]).toEqual([12, 28]);
  expect(ornamentBox(sceneOf([]), null)).toEqual({ left: -100, right: 100, top: -100, bottom: 100 });
});

test("a tile shows all of a part, or a telling piece of what would be too small", () => {
  const boxOf = (part: object) => {
    const { parts } = sceneOf([{ id: "a", ...part }]);
    if (!parts[0]) throw new Error("the part cannot be computed");
    const { left, right, top, bottom } = tileBox(parts[0]);
    return { width: right - left, height: bottom - top, middle: (left + right) / 2 };
  };
  const rosette = boxOf({ motif: { kind: "petal" }, rules: [{ kind: "ring", count: 12, radius: 50 }] });
  expect(rosette.width).toBeCloseTo(180, 3);
  // Dots close together are shown as what they make.
  const dense = { motif: { kind: "disc", radius: 2 }, rules: [{ kind: "grid", columns: 15, rows: 15, pitch: 5 }] };
  expect(boxOf(dense).width).toBeCloseTo(74, 3);
  const sparse = { motif: { kind: "disc", radius: 2 }, rules: [{ kind: "grid", columns: 9, rows: 9, pitch: 30 }] };
  expect(boxOf(sparse)).toEqual({ width: expect.closeTo(28, 3), height: expect.closeTo(28, 3), middle: 0 });
  const strip = boxOf({ motif: { kind: "rectangle", width: 100, height: 10 } });
  expect(strip).toEqual({ width: expect.closeTo(26, 6), height: expect.closeTo(26, 6), middle: 0 });
});
