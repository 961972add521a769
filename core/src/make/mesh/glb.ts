import type { Document, Node as SceneNode } from "@gltf-transform/core";
import type { SolidBody } from "../../solid/bodies";
import { hasSolids } from "../../solid/layout";
import type { SolidFormat } from "../format";
import { touchNotes } from "./touchNotes";

/** A glTF measures in metres. */
const METRES = 0.001;
/** A quarter about x takes z, which is up here, to y, which is up there (a quaternion). */
const Y_UP: [number, number, number, number] = [-Math.SQRT1_2, 0, 0, Math.SQRT1_2];

/** The solids as a binary glTF 2.0: one mesh a colour, metres, y up. */
export const glb: SolidFormat = {
  extension: "glb",
  mediaType: "model/gltf-binary",
  kind: "solid",
  options: ["tolerance"],
  offered: hasSolids,
  notes: ({ solids }) => touchNotes(solids),
  async make({ design, solids }) {
    const { Document, WebIO } = await import("@gltf-transform/core");
    const document = new Document();
    document.createBuffer();
    const top = document.createNode(design.name).setRotation(Y_UP).setScale([METRES, METRES, METRES]);
    for (const body of solids.bodies) top.addChild(await nodeOf(body, document));
    document.createScene(design.name).addChild(top);
    return new Uint8Array(await new WebIO().writeBinary(document));
  },
};

async function nodeOf({ color, mesh }: SolidBody, document: Document): Promise<SceneNode> {
  const { Color } = await import("three");
  const { r, g, b } = new Color(color);
  const positions = document.createAccessor().setType("VEC3").setArray(new Float32Array(mesh.positions));
  const indices = document.createAccessor().setType("SCALAR").setArray(new Uint32Array(mesh.triangles));
  const material = document
    .createMaterial(color)
    .setBaseColorFactor([r, g, b, 1])
    .setMetallicFactor(0)
    .setRoughnessFactor(0.8);
  const surface = document
    .createPrimitive()
    .setAttribute("POSITION", positions)
    .setIndices(indices)
    .setMaterial(material);
  return document.createNode(color).setMesh(document.createMesh(color).addPrimitive(surface));
}
