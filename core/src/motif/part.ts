import { choice } from "../fields/choice";
import { partName } from "../fields/partName";
import { defineMotif } from "./definition";
import { PART_STANDS, type PartStands } from "./drawing";

interface PartValues {
  readonly part: string;
  readonly stands: PartStands;
}

/** The whole of another part, with its finish: a finished ornament as a motif. */
export const part = defineMotif<PartValues>({
  kind: "part",
  origin: "made",
  repeatsWhole: true,
  fields: {
    part: partName(""),
    /** About its own origin, or where it stands on the sheet. */
    stands: choice(PART_STANDS, "own"),
  },
  outline: ({ part, stands }, surroundings) =>
    surroundings.wholeOf(part, stands) ?? { path: [], pieces: null, notes: ["choose the part that is repeated"] },
  uses: ({ part }) => [part],
  paintFrom: ({ part }) => [part],
});
