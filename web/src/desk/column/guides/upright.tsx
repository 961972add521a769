import { GUIDE } from "@twin-petal/core";
import { labelGuide } from "./definition";

const { fields } = GUIDE.x;

export const uprightLabels = labelGuide({
  kind: "x",
  name: "an upright line",
  words: (guide, number) => <>An upright line {number("across", guide.x, fields.x, (x) => ({ x }))} across.</>,
});
