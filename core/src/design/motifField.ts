import type { FieldInfo, FieldOf } from "../fields/field";
import { withoutDefaults } from "../fields/definitionFields";
import { briefPlace, place } from "../fields/place";
import { wordsOf } from "../fields/record";
import { isStoredFields, type Motif } from "../fields/stored";
import { kindSchema } from "../fields/variants";
import { MOTIFS, motifOf } from "../motif/list";
import { nestedMotif } from "../motif/nestedMotif";
import type { PlacedMotif } from "../motif/placedMotif";

/** The schema of any motif, with the place it is set at. */
export const motifSchema = kindSchema(
  MOTIFS.map(({ kind }) => kind),
  (kind) => motifOf(kind)?.fields,
  { at: place.schema() },
);

/** A motif of any kind, held without what is at its default. */
export const motif: FieldInfo & FieldOf<PlacedMotif, Motif> = {
  ...nestedMotif,
  schema: () => motifSchema,
  complete: keptMotif,
  brief: keptMotif,
  words: () => MOTIFS.flatMap(({ kind, fields }) => [kind, ...wordsOf(fields)]),
};

function keptMotif(stored: unknown): Motif {
  if (!isStoredFields(stored)) throw new Error("a part without a motif was let in");
  const { at, ...kept } = withoutDefaults(stored, motifOf(stored.kind)?.fields);
  const differing = briefPlace(at);
  return differing ? { ...kept, kind: stored.kind, at: differing } : { ...kept, kind: stored.kind };
}
