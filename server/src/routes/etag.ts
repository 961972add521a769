import type { Request } from "express";
import type { Expected } from "../db/expected";
import { HttpProblem } from "../problem";

/** A revision as an entity tag. */
export function etagOf(revision: number): string {
  return `"${revision}"`;
}

/** One entity tag (RFC 9110, 8.8.3): weak or strong, of any letters but quotes and blanks. */
const TAG = /^(W\/)?"([\x21\x23-\x7E\x80-\xFF]*)"$/;

/** Which revisions a change builds on, from If-Match: a star, or a list of tags, of which only strong ones can match (13.1.1). */
export function expectedRevision(request: Request): Expected {
  const header = request.get("If-Match");
  if (header === undefined) {
    throw new HttpProblem(428, "Say which revision the change builds on: send If-Match with the design's ETag.");
  }
  if (header.trim() === "*") return null;
  const tags = listedTags(header);
  if (tags.length === 0) throw new HttpProblem(400, 'If-Match must be ETags, like "3", one or several, or a star.');
  return new Set(tags.flatMap(([, weak, opaque = ""]) => (!weak && /^\d+$/.test(opaque) ? [Number(opaque)] : [])));
}

/** The tags of a list; none where one of them is none. A comma may stand within a tag. */
function listedTags(header: string): RegExpExecArray[] {
  const entries = (header.match(/(?:W\/)?"[^"]*"|[^\s,]+/g) ?? []).map((entry) => TAG.exec(entry));
  const tags = entries.filter((entry) => entry !== null);
  return tags.length === entries.length ? tags : [];
}
