import type { Motif, Part, Rule } from "@twin-petal/core";
import type { Draft } from "immer";

/**
 * Whose field it is: the motif's, a rule's, a cutout's, that of one of the motifs combined in it, or of the second
 * shape a rule leads to; by their numbers.
 */
export type FieldOwner =
  | "motif"
  | { readonly rule: number }
  | { readonly cutout: number }
  | { readonly member: number }
  | { readonly to: number };

/** Names an owner within its part. */
export function ownerKey(owner: FieldOwner): string {
  return typeof owner === "string" ? owner : Object.entries(owner).flat().join("");
}

/** Where an owner stands in its part, as problems name it: `rules[0].to`. */
export function ownerPath(owner: FieldOwner): string {
  if (owner === "motif") return owner;
  if ("rule" in owner) return `rules[${owner.rule}]`;
  if ("to" in owner) return `rules[${owner.to}].to`;
  return "cutout" in owner ? `cutouts[${owner.cutout}]` : `motif.of[${owner.member}]`;
}

export function ownerIn(part: Draft<Part>, owner: FieldOwner): Draft<Motif> | Draft<Rule> | undefined {
  return typeof owner === "object" && "rule" in owner ? part.rules[owner.rule] : motifIn(part, owner);
}

/** The motif itself, or one of those cut from it or combined in it. */
export function motifIn(part: Draft<Part>, owner: Exclude<FieldOwner, { rule: number }>): Draft<Motif> | undefined {
  if (owner === "motif") return part.motif;
  if ("to" in owner) return secondShape(part, owner.to);
  return "cutout" in owner ? part.cutouts[owner.cutout] : membersIn(part.motif)[owner.member];
}

/** The shape a rule leads to. */
function secondShape(part: Draft<Part>, rule: number): Draft<Motif> | undefined {
  const stored: unknown = part.rules[rule]?.to;
  return isMotif(stored) ? stored : undefined;
}

function isMotif(stored: unknown): stored is Draft<Motif> {
  return typeof stored === "object" && stored !== null && "kind" in stored;
}

/** The motifs a compound combines. */
export function membersIn(motif: Draft<Motif>): Draft<Motif>[] {
  const stored: unknown = motif.kind === "compound" ? motif.of : [];
  return isMotifs(stored) ? stored : [];
}

function isMotifs(stored: unknown): stored is Draft<Motif>[] {
  return Array.isArray(stored);
}
