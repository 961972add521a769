import { array, lazy } from "yup";
import { choice, structure, type FieldValue } from "../design/field";
import { MOST_NESTED } from "../design/most";
import { nestedMotifSchema } from "../design/schemaPieces";
import type { NestedMotif } from "../design/structures";
import { combine } from "../geometry/boolean/boolean";
import { OPERATIONS, type Operation } from "../geometry/boolean/operation";
import type { Path } from "../geometry/path";
import { defineMotif } from "./definition";
import { placedOutline, type PlacedMotif } from "./placedMotif";

interface CompoundValues {
  readonly op: Operation;
  readonly of: readonly PlacedMotif[];
}

/** Several motifs combined into one outline: the first with each of the others. */
export const compound = defineMotif<CompoundValues>({
  kind: "compound",
  origin: "made",
  fields: {
    op: choice(OPERATIONS, "union"),
    of: structure<readonly NestedMotif[], readonly PlacedMotif[]>({
      default: [],
      is: isMotifs,
      schema: nestedMotifsSchema,
      resolve: (stored, resolver, path) => stored.map((motif, index) => resolver.motif(motif, `${path}[${index}]`)),
    }),
  },
  outline: ({ op, of }, surroundings): Path =>
    combine(
      of.map((placed) => placedOutline(placed, surroundings)),
      op,
    ),
  needs: ({ of }) => ({ geometryEngine: true, fonts: of.flatMap(({ motif }) => motif.needs.fonts) }),
  uses: ({ of }) => of.flatMap(({ motif }) => motif.uses),
  wears: ({ of }) => of.flatMap(({ motif }) => motif.wears),
});

function isMotifs(stored: FieldValue): stored is readonly NestedMotif[] {
  return Array.isArray(stored);
}

/** A list of motifs as the file holds it. */
export function nestedMotifsSchema() {
  return array(lazy(nestedMotifSchema)).max(MOST_NESTED);
}
