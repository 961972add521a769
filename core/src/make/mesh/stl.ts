import { hasSolids } from "../../solid/layout";
import type { SolidFormat } from "../format";
import { threeMesh } from "./threeMesh";
import { touchNotes } from "./touchNotes";

/** Everything that stands up as one closed surface, in binary. Millimetres, z up; colours cannot be said. */
export const stl: SolidFormat = {
  extension: "stl",
  mediaType: "model/stl",
  kind: "solid",
  options: ["tolerance"],
  asOne: true,
  offered: hasSolids,
  notes: ({ solids }) => [
    ...(solids.bodies.length > 1 ? ["the solids are one surface; this format has no colours"] : []),
    ...touchNotes(solids),
  ],
  async make({ solids }) {
    const { STLExporter } = await import("three/addons/exporters/STLExporter.js");
    if (!solids.whole) throw new Error("an STL is made of everything as one");
    const { buffer } = new STLExporter().parse(await threeMesh(solids.whole), { binary: true });
    return new Uint8Array(buffer instanceof ArrayBuffer ? buffer : new ArrayBuffer(0));
  },
};
