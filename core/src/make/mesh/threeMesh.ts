import type { Group, Mesh as ThreeMesh } from "three";
import type { Mesh } from "../../form/mesh";
import type { SolidBody } from "../../solid/bodies";

/** A surface as the exporters take it. The package is loaded when it is first needed. */
export async function threeMesh({ positions, triangles }: Mesh, color?: string): Promise<ThreeMesh> {
  const { BufferAttribute, BufferGeometry, Color, Mesh } = await import("three");
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(positions, 3));
  geometry.setIndex(new BufferAttribute(triangles, 1));
  if (color !== undefined) {
    const { r, g, b } = new Color(color);
    const colors = Float32Array.from({ length: positions.length }, (_, index) => [r, g, b][index % 3] ?? 0);
    geometry.setAttribute("color", new BufferAttribute(colors, 3));
  }
  return new Mesh(geometry);
}

/** Every body by itself, each corner in its colour. */
export async function threeGroup(bodies: readonly SolidBody[], nameOf: (body: SolidBody) => string): Promise<Group> {
  const { Group } = await import("three");
  const group = new Group();
  for (const body of bodies) {
    const mesh = await threeMesh(body.mesh, body.color);
    mesh.name = nameOf(body);
    group.add(mesh);
  }
  return group;
}
