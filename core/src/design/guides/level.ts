import { given } from "../../fields/given";
import { number } from "../../fields/number";
import { defineGuide } from "./definition";

/** A level line. */
export const level = defineGuide({
  kind: "y",
  fields: { y: given(number("length", 0)) },
  first: { y: 0 },
  shape: ({ y }) => ({ through: { x: 0, y }, angle: 90 }),
});
