import { partName } from "../fields/partName";
import { defineMotif } from "./definition";

/** The whole of another part, with its finish, about that part's own origin: a finished ornament as a motif. */
export const part = defineMotif<{ readonly part: string }>({
  kind: "part",
  origin: "made",
  fields: { part: partName("") },
  outline: ({ part }, surroundings) =>
    surroundings.wholeOf(part) ?? { path: [], pieces: null, notes: ["choose the part that is repeated"] },
  uses: ({ part }) => [part],
  paintFrom: ({ part }) => [part],
});
