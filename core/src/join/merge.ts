import { MOST_UNITED } from "../fields/most";
import { combine } from "../geometry/boolean/boolean";
import type { Path } from "../geometry/path";
import { copyOutlines } from "../rules/copyOutlines";
import { defineJoin } from "./definition";
import { isArea, isLine, whole } from "./whole";

/** Copies united into one outline. */
export const merge = defineJoin({
  kind: "merge",
  fields: {},
  takesOffset: true,
  takesOthers: true,
  most: () => MOST_UNITED,
  join: (composed, _values, asked) => whole(united([...copyOutlines(composed), ...asked.others]), composed, asked),
});

/** The union of areas; lines stay as they are. */
function united(outlines: readonly Path[]): Path {
  return [...combine(outlines.map(isArea), "union"), ...outlines.flatMap(isLine)];
}
