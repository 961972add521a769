import { given } from "../../fields/given";
import { number } from "../../fields/number";
import { defineGuide } from "./definition";

/** An upright line. */
export const upright = defineGuide({
  kind: "x",
  fields: { x: given(number("length", 0)) },
  first: { x: 0 },
  shape: ({ x }) => ({ through: { x, y: 0 }, angle: 0 }),
});
