import { expect, test } from "@jest/globals";
import { buildScene, readDesign } from "@twin-petal/core";
import { ornamentBox } from "@/paint/ornamentBox";

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
