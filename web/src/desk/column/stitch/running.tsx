import type { LineStitchLabels } from "./lineStitch";

/** Point after point. */
export const runningLabels: LineStitchLabels = {
  words: "a running line",
  labels: { times: "times over", length: "stitch length" },
  rest: (number) => (
    <>
      in stitches of {number("length")}, sewn {number("times")} times
    </>
  ),
};
