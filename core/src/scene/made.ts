import type { PartScene, Scene } from "./scene";

/** Everything that is printed or made, the ground first. */
export function madeLayers(scene: Scene): readonly PartScene[] {
  return scene.ground ? [scene.ground, ...madeParts(scene)] : madeParts(scene);
}

/** The parts that are printed, cut or otherwise made: visible ones that are neither guides nor tools. */
export function madeParts(scene: Scene): readonly PartScene[] {
  return scene.parts.filter(({ visible, role }) => visible && role === "show");
}
