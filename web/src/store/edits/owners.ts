import type { Motif, Part, Rule } from "@twin-petal/core";
import type { Draft } from "immer";

/** Whose field it is: the motif's, a rule's, a cutout's, or that of one of the motifs combined in it, by their numbers. */
export type FieldOwner =
  "motif" | { readonly rule: number } | { readonly cutout: number } | { readonly member: number };

/** Names an owner within its part. */
export function ownerKey(owner: FieldOwner): string {
  return typeof owner === "string" ? owner : Object.entries(owner).flat().join("");
}

export function ownerIn(part: Draft<Part>, owner: FieldOwner): Draft<Motif> | Draft<Rule> | undefined {
  return typeof owner === "object" && "rule" in owner ? part.rules[owner.rule] : motifIn(part, owner);
}

/** The motif itself, or one of those cut from it or combined in it. */
export function motifIn(part: Draft<Part>, owner: Exclude<FieldOwner, { rule: number }>): Draft<Motif> | undefined {
  if (owner === "motif") return part.motif;
  return "cutout" in owner ? part.cutouts[owner.cutout] : membersIn(part.motif)[owner.member];
}

/** The motifs a compound combines. */
export function membersIn(motif: Draft<Motif>): Draft<Motif>[] {
  const stored: unknown = motif.kind === "compound" ? motif.of : [];
  return isMotifs(stored) ? stored : [];
}

function isMotifs(stored: unknown): stored is Draft<Motif>[] {
  return Array.isArray(stored);
}
