import { growBox, isEmpty, type Box } from "../geometry/box";
import { beyondOutline } from "../geometry/strip/lineShape";
import { boxOfGeometry } from "../scene/boxOfGeometry";
import type { Scene } from "../scene/scene";

/** The box of a part on the sheet with its lines, millimetres; null where it is empty. */
export function paintedBox(scene: Scene, id: string): Box | null {
  const part = scene.parts.find((known) => known.id === id);
  if (!part) return null;
  const box = boxOfGeometry(part.geometry);
  return isEmpty(box) ? null : growBox(box, part.finish.line ? beyondOutline(part.finish.line) : 0);
}
