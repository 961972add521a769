import { string } from "yup";
import { color } from "../../fields/color";
import { given } from "../../fields/given";
import { list } from "../../fields/list";
import { text } from "../../fields/text";
import { at } from "../../geometry/at";
import { indexUnder, lastCounting, numberUnder, type Placements } from "../../rules/placements";
import { angleOf, COUNTINGS, distanceOf, ranked } from "../copyOrder";
import { defineAcross } from "./definition";

/** What is counted: "index", "ring", "row", "column", "distance", "angle", or "rule:N" with N counted from 1. */
const byField = text("index", 7, () =>
  string().matches(
    /^(index|ring|row|column|distance|angle|rule:[1-9]\d?)$/,
    "must be index, ring, row, column, distance, angle or rule:N, rules counted from 1",
  ),
);

/** Colours that take turns from copy to copy. */
export const cycle = defineAcross({
  kind: "cycle",
  fields: { colors: given(list(color(), { least: 1, most: 100 })), by: byField },
  recolored: (colors, { by }) => ({ colors, by }),
  colorsOf: ({ colors }) => colors,
  turns: ({ colors, by }) => ({ colors, by }),
  colorAt({ colors, by }, placements) {
    const indexOf = turnTaker(colors.length, by, placements);
    return (copy) => at(colors, indexOf(copy));
  },
});

/** The number of a copy's colour among those that take turns. */
function turnTaker(turns: number, by: string, placements: Placements): (copy: number) => number {
  if (by === "index") return (copy) => copy % turns;
  if (by === "distance" || by === "angle") {
    const rankOf = ranked(placements, by === "distance" ? distanceOf : angleOf);
    return (copy) => rankOf(copy) % turns;
  }
  const counting = COUNTINGS.get(by);
  if (counting) {
    const rule = lastCounting(placements, counting);
    return (copy) => numberUnder(placements, rule, counting, copy) % turns;
  }
  const rule = Number(by.slice("rule:".length)) - 1;
  const span = placements.spans.findIndex(({ number }) => number === rule);
  return (copy) => indexUnder(placements, span, copy) % turns;
}
