import { strToU8, zipSync } from "fflate";
import type { Mesh } from "../../form/mesh";
import type { SolidBody } from "../../solid/bodies";
import { hasSolids } from "../../solid/layout";
import type { SolidFormat } from "../format";
import { attribute, escapeText } from "../xml";
import { touchNotes } from "./touchNotes";

const HEAD = `<?xml version="1.0" encoding="UTF-8"?>\n`;
const CORE = "http://schemas.microsoft.com/3dmanufacturing/core/2015/02";
const MODEL_TYPE = "application/vnd.ms-package.3dmanufacturing-3dmodel+xml";
const MODEL_PATH = "3D/3dmodel.model";

/** The parts of the package beside the model, as the Open Packaging Conventions ask. */
const CONTENT_TYPES = `${HEAD}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="${MODEL_TYPE}"/></Types>`;
const RELATIONSHIPS = `${HEAD}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/${MODEL_PATH}" Id="model" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`;

/** Entries carry no time of their own, so that a design always makes the same bytes. */
const TIME = { mtime: new Date(1980, 0, 1) };

/** The solids in the 3D Manufacturing Format: units, one object a colour, colours. */
export const threeMf: SolidFormat = {
  extension: "3mf",
  mediaType: "model/3mf",
  kind: "solid",
  options: ["tolerance"],
  offered: hasSolids,
  notes: ({ solids }) => touchNotes(solids),
  make({ design, solids }) {
    const files = {
      "[Content_Types].xml": strToU8(CONTENT_TYPES),
      "_rels/.rels": strToU8(RELATIONSHIPS),
      [MODEL_PATH]: strToU8(modelOf(design.name, solids.bodies)),
    };
    return new Uint8Array(zipSync(files, TIME));
  },
};

/** The colours are resource 1; objects are numbered on from there. */
const COLORS = 1;

function modelOf(name: string, bodies: readonly SolidBody[]): string {
  const bases = bodies.map(
    ({ color }) => `<base${attribute("name", color)}${attribute("displaycolor", `${color}FF`)}/>`,
  );
  const objects = bodies.map(
    (body, index) =>
      `<object id="${COLORS + 1 + index}" type="model" pid="${COLORS}" pindex="${index}"${attribute("name", body.color)}>${meshXml(body.mesh)}</object>`,
  );
  const items = bodies.map((_, index) => `<item objectid="${COLORS + 1 + index}"/>`);
  return [
    `${HEAD}<model unit="millimeter" xml:lang="en" xmlns="${CORE}">`,
    `<metadata name="Title">${escapeText(name)}</metadata>`,
    `<resources><basematerials id="${COLORS}">${bases.join("")}</basematerials>${objects.join("")}</resources>`,
    `<build>${items.join("")}</build></model>`,
  ].join("");
}

function meshXml({ positions, triangles }: Mesh): string {
  const vertices: string[] = [];
  for (let k = 0; k + 2 < positions.length; k += 3) {
    vertices.push(`<vertex x="${positions[k] ?? 0}" y="${positions[k + 1] ?? 0}" z="${positions[k + 2] ?? 0}"/>`);
  }
  const faces: string[] = [];
  for (let k = 0; k + 2 < triangles.length; k += 3) {
    faces.push(`<triangle v1="${triangles[k] ?? 0}" v2="${triangles[k + 1] ?? 0}" v3="${triangles[k + 2] ?? 0}"/>`);
  }
  return `<mesh><vertices>${vertices.join("")}</vertices><triangles>${faces.join("")}</triangles></mesh>`;
}
