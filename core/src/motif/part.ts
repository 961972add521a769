import { text } from "../design/field";
import { defineMotif } from "./definition";

/** The whole of another part, with its finish, about that part's own origin: a finished ornament as a motif. */
export const part = defineMotif<{ readonly part: string }>({
  kind: "part",
  origin: "made",
  fields: { part: text("", 40) },
  outline: ({ part }, surroundings) =>
    surroundings.wholeOf(part) ?? { path: [], pieces: null, told: ["choose the part that is repeated"] },
  uses: ({ part }) => [part],
  wears: ({ part }) => [part],
});
