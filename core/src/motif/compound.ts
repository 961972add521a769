import { choice } from "../fields/choice";
import { list } from "../fields/list";
import { MOST_NESTED } from "../fields/most";
import { combine } from "../geometry/boolean/boolean";
import { OPERATIONS, type Operation } from "../geometry/boolean/operation";
import type { Path } from "../geometry/path";
import { defineMotif } from "./definition";
import { nestedMotif } from "./nestedMotif";
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
    of: list(nestedMotif, { most: MOST_NESTED }),
  },
  outline: ({ op, of }, surroundings): Path =>
    combine(
      of.map((placed) => placedOutline(placed, surroundings)),
      op,
    ),
  needs: ({ of }) => ({ geometryEngine: true, fonts: of.flatMap(({ motif }) => motif.needs.fonts) }),
  uses: ({ of }) => of.flatMap(({ motif }) => motif.uses),
  paintFrom: ({ of }) => of.flatMap(({ motif }) => motif.paintFrom),
});
