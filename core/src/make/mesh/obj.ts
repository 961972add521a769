import { hasSolids } from "../../solid/layout";
import type { SolidFormat } from "../format";
import { threeGroup } from "./threeMesh";
import { touchNotes } from "./touchNotes";

/** One object a colour, its corners in that colour. Millimetres, z up. */
export const obj: SolidFormat = {
  extension: "obj",
  mediaType: "model/obj",
  kind: "solid",
  options: ["tolerance"],
  offered: hasSolids,
  notes: ({ solids }) => touchNotes(solids),
  async make({ solids }) {
    const { OBJExporter } = await import("three/addons/exporters/OBJExporter.js");
    return new OBJExporter().parse(await threeGroup(solids.bodies, ({ color }) => color.slice(1)));
  },
};
