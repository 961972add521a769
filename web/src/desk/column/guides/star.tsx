import { GUIDE } from "@twin-petal/core";
import { labelGuide } from "./definition";

const { points, outer, inner, start } = GUIDE.star.fields.star.fields;

export const starLabels = labelGuide({
  kind: "star",
  name: "a star",
  words({ star }, number) {
    const to = (change: Partial<typeof star>) => ({ star: { ...star, ...change } });
    return (
      <>
        A star of {number("points", star.points, points, (value) => to({ points: value }))} points, out to{" "}
        {number("outer", star.outer, outer, (value) => to({ outer: value }))}, in to{" "}
        {number("inner", star.inner, inner, (value) => to({ inner: value }))}, begun at{" "}
        {number("angle", star.start, start, (value) => to({ start: value }))}.
      </>
    );
  },
});
