import { InstancedMesh, Mesh, type Object3D, type Raycaster } from "three";
import type { Met } from "./content";

/** What a ray meets first: a surface that is drawn, and the copy that is there. */
export function metBy(ray: Raycaster, scene: Object3D): Met | null {
  const bodies: Object3D[] = [];
  const copies: Object3D[] = [];
  scene.traverse((object) => {
    if (object instanceof InstancedMesh) copies.push(object);
    else if (object instanceof Mesh) bodies.push(object);
  });
  const [copy] = ray.intersectObjects(copies, false);
  const [surface] = bodies.length > 0 ? ray.intersectObjects(bodies, false) : [copy];
  if (!surface) return null;
  const { x, y, z } = surface.point;
  const known: { part?: unknown; copies?: unknown } = copy?.object.userData ?? {};
  const number = Array.isArray(known.copies) ? Number(known.copies[copy?.instanceId ?? -1]) : NaN;
  const isCopy = typeof known.part === "string" && Number.isInteger(number);
  return { point: { x, y, z }, copy: isCopy ? { part: String(known.part), number } : null };
}
