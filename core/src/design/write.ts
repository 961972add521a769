import { DESIGN, type Design } from "./design";

/** The design as plain data with every default left out: what is stored, sent and embedded. */
export function toFile(design: Design): unknown {
  return DESIGN.brief(design);
}

/** The design file's text: UTF-8 JSON, two spaces in, the same bytes for the same design. */
export function writeDesign(design: Design): string {
  return `${JSON.stringify(toFile(design), null, 2)}\n`;
}
