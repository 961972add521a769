import { lazy } from "yup";
import type { FieldOf, StructureField } from "../fields/field";
import { rewriteFields } from "../fields/record";
import { place } from "../fields/place";
import type { Resolver } from "../fields/resolver";
import type { Rewriting } from "../fields/rewriting";
import { nestedMotifSchema } from "../fields/schemaPieces";
import { isRecord, isStoredFields, type Motif } from "../fields/stored";
import type { PlacedMotif } from "./placedMotif";

/** A motif that stands inside another, or that a rule leads to. */
export const nestedMotif: StructureField & FieldOf<PlacedMotif, Motif> = {
  type: "structure",
  schema: () => lazy(nestedMotifSchema),
  isDefault: (stored) => stored === undefined,
  complete: motifIn,
  brief: (stored) => stored,
  resolve: (stored, resolver, path) => resolveMotif(motifIn(stored), resolver, path),
  rewrite: rewriteMotif,
  // Those of all motifs are said where all motifs are known.
  words: () => [],
};

/** A motif prepared by whoever knows all kinds of motifs. */
function resolveMotif(stored: Motif, resolver: Resolver, path: string): PlacedMotif {
  const prepared = resolver.motif(stored, path);
  if (!isPlacedMotif(prepared)) throw new Error(`a motif of the unknown kind ${stored.kind} was let in`);
  return prepared;
}

/** A motif with what it names rewritten; undefined when it cannot stand without. */
function rewriteMotif(stored: unknown, by: Rewriting, path: string): unknown {
  if (!isStoredFields(stored)) return stored;
  return rewriteFields({ ...by.motifFields(stored.kind), at: place }, stored, by, path);
}

/** The schema has seen to it that a motif stands there. */
function motifIn(stored: unknown): Motif {
  if (!isStoredFields(stored)) throw new Error("there is no motif where one must stand");
  return stored;
}

function isPlacedMotif(prepared: unknown): prepared is PlacedMotif {
  return isRecord(prepared) && "motif" in prepared && "at" in prepared;
}
