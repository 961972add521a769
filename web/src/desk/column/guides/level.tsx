import { GUIDE } from "@twin-petal/core";
import { labelGuide } from "./definition";

const { fields } = GUIDE.y;

export const levelLabels = labelGuide({
  kind: "y",
  name: "a level line",
  words: (guide, number) => <>A level line {number("down", guide.y, fields.y, (y) => ({ y }))} down.</>,
});
