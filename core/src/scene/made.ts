import type { PartScene, Scene } from "./scene";

/** The parts that are printed, cut or otherwise made: visible ones that are neither guides nor tools. */
export function madeParts(scene: Scene): readonly PartScene[] {
  return scene.parts.filter(({ visible, role }) => visible && role === "show");
}
