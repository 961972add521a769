import { groundPart } from "../scene/groundPart";
import type { Scene } from "../scene/scene";

/** A scene whose ground, and whatever crosses the sheet's edge, goes on beyond it by a length of the sheet, millimetres. */
export function bledScene(scene: Scene, bleed: number): Scene {
  if (bleed === 0) return scene;
  const sheet = { ...scene.sheet, width: scene.sheet.width + 2 * bleed, height: scene.sheet.height + 2 * bleed };
  return { ...scene, sheet, ground: groundPart(sheet) };
}
