import { given } from "../../fields/given";
import { record } from "../../fields/record";
import { ANCHOR } from "./anchor";
import { defineGuide } from "./definition";

const END = ANCHOR.complete({});

/** A measure from one place to another that is left lying, and follows the parts it holds on to. */
export const dimension = defineGuide({
  kind: "dimension",
  fields: { dimension: given(record({ from: given(ANCHOR), to: given(ANCHOR) })) },
  first: { dimension: { from: END, to: { ...END, x: 50 } } },
  shape: ({ dimension: { from, to } }) => ({ from, to }),
});
