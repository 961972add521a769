import type { Rewriting } from "../fields/rewriting";
import { isRecord } from "../fields/stored";
import { motifOf } from "../motif/list";
import { DESIGN, type Design } from "./design";
import { part, type Part } from "./partFields";

/** What is to become of the formulas, part names and colours of a design; what is not named stays. */
export type DesignRewriting = Omit<Rewriting, "motifFields">;

const motifFields = (kind: string) => motifOf(kind)?.fields;

/** A design with what it names rewritten; pieces in which nothing changed are the same objects. */
export function rewriteDesign(design: Design, by: DesignRewriting): Design {
  const next = DESIGN.rewrite(design, { ...by, motifFields }, "");
  if (!isDesign(next)) throw new Error("a design cannot be rewritten away");
  return next;
}

/** One part with what it names rewritten. */
export function rewritePart(stored: Part, by: DesignRewriting, path = ""): Part {
  const next = part.rewrite(stored, { ...by, motifFields }, path);
  if (!isPart(next)) throw new Error("a part cannot be rewritten away");
  return next;
}

/** Rewriting changes values, never the shape. */
function isDesign(value: unknown): value is Design {
  return isRecord(value) && "parts" in value;
}

function isPart(value: unknown): value is Part {
  return isRecord(value) && "motif" in value;
}
