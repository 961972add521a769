import { GUIDE } from "@twin-petal/core";
import { labelGuide } from "./definition";

const { sides, radius, start } = GUIDE.polygon.fields.polygon.fields;

export const polygonLabels = labelGuide({
  kind: "polygon",
  name: "a polygon",
  words({ polygon }, number) {
    const to = (change: Partial<typeof polygon>) => ({ polygon: { ...polygon, ...change } });
    return (
      <>
        A polygon of {number("sides", polygon.sides, sides, (value) => to({ sides: value }))} sides, radius{" "}
        {number("radius", polygon.radius, radius, (value) => to({ radius: value }))}, begun at{" "}
        {number("angle", polygon.start, start, (value) => to({ start: value }))}.
      </>
    );
  },
});
