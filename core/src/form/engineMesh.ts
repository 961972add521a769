import type { Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import type { Mesh } from "./mesh";

/** What the engine holds as plain data. */
export function meshOf(solid: Manifold): Mesh {
  const { numProp, vertProperties, triVerts } = solid.getMesh();
  if (numProp !== 3) throw new Error("a solid has more than places at its corners");
  return { positions: vertProperties, triangles: triVerts };
}

/** Plain data as the engine holds it; whoever asks for it deletes it. Throws where the surface is not closed. */
export function engineSolid({ positions, triangles }: Mesh): Manifold {
  const { Manifold, Mesh } = solidEngine();
  return new Manifold(new Mesh({ numProp: 3, vertProperties: positions, triVerts: triangles }));
}
