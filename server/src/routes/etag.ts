import type { Request } from "express";
import { HttpProblem } from "../problem";

/** A revision as an entity tag. */
export function etagOf(revision: number): string {
  return `"${revision}"`;
}

/** The revision a save builds on, from If-Match; null for `*`, which builds on any. */
export function expectedRevision(request: Request): number | null {
  const header = request.get("If-Match");
  if (header === undefined) {
    throw new HttpProblem(428, "Say which revision the change builds on: send If-Match with the design's ETag.");
  }
  if (header.trim() === "*") return null;
  const match = /^(?:W\/)?"(\d+)"$/.exec(header.trim());
  if (!match) throw new HttpProblem(400, 'If-Match must be one ETag, like "3".');
  return Number(match[1]);
}
