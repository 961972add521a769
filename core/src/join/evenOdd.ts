import { MOST_UNITED } from "../fields/most";
import { combine } from "../geometry/boolean/boolean";
import type { Path } from "../geometry/path";
import { copyOutlines } from "../rules/copyOutlines";
import { defineJoin } from "./definition";
import { isArea, isLine, whole } from "./whole";

/** Copies filled and hollow in turn where they overlap. */
export const evenOdd = defineJoin({
  kind: "evenOdd",
  fields: {},
  takesOffset: true,
  takesOthers: true,
  most: () => MOST_UNITED,
  join: (composed, _values, asked) => whole(alternating([...copyOutlines(composed), ...asked.others]), composed, asked),
});

/** Areas filled where an odd number of them lie. */
function alternating(outlines: readonly Path[]): Path {
  return [...combine([outlines.flatMap(isArea)], "union", "evenodd"), ...outlines.flatMap(isLine)];
}
