import type { LineStitchLabels } from "./lineStitch";

/** To and fro across a band. */
export const satinLabels: LineStitchLabels = {
  words: "a band of satin",
  labels: { width: "satin width", spacing: "satin spacing" },
  rest: (number) => (
    <>
      {number("width")} wide, needle points {number("spacing")} apart
    </>
  ),
};
