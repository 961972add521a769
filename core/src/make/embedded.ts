import { SaxesParser } from "saxes";
import { parseDesign, type ReadResult } from "../design/read";

/** The XML namespace of a design carried in an SVG's metadata. */
export const DESIGN_NAMESPACE = "urn:twin-petal:design";

class Refused extends Error {}

/**
 * Reads the design an SVG of this application carries. Other SVGs, and files that declare entities or
 * a document type, are refused in words. Nothing else in the file is looked at.
 */
export function readEmbeddedDesign(svg: string): ReadResult {
  try {
    const text = designText(svg);
    if (text === null) return refusal("carries no design: it was not written by Twin Petal");
    return parseDesign(text);
  } catch (error) {
    if (error instanceof Refused) return refusal(error.message);
    throw error;
  }
}

/** Reads a design from a file's text, be it a design file or an SVG that carries one. */
export function openDesign(text: string): ReadResult {
  return /^\uFEFF?\s*</.test(text) ? readEmbeddedDesign(text) : parseDesign(text.replace(/^\uFEFF/, ""));
}

function refusal(message: string): ReadResult {
  return { design: null, problems: [{ path: "", message }] };
}

function designText(svg: string): string | null {
  const parser = new SaxesParser({ xmlns: true });
  let inside = false;
  let text: string | null = null;
  parser.on("error", (error) => {
    throw new Refused(`is no readable SVG: ${error.message}`);
  });
  parser.on("doctype", () => {
    throw new Refused("declares a document type, which is not read; take the <!DOCTYPE …> out");
  });
  parser.on("opentag", (tag) => {
    if (tag.uri !== DESIGN_NAMESPACE || tag.local !== "design") return;
    inside = true;
    text ??= "";
  });
  parser.on("closetag", (tag) => {
    if (tag.uri === DESIGN_NAMESPACE) inside = false;
  });
  const gather = (piece: string) => {
    if (inside) text = (text ?? "") + piece;
  };
  parser.on("text", gather);
  parser.on("cdata", gather);
  parser.write(svg).close();
  return text;
}
