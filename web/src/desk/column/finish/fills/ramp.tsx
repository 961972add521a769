import { Choice } from "@/ui/choice";
import { labelFill } from "./definition";

const ORDERS = [
  { value: "index", words: "from the first copy to the last" },
  { value: "ring", words: "ring by ring" },
  { value: "row", words: "row by row" },
  { value: "column", words: "column by column" },
  { value: "distance", words: "from the centre out" },
  { value: "angle", words: "around the centre" },
  { value: "paint", words: "as the rules say" },
] as const;

/** Colours mixed along the copies. */
export const rampLabels = labelFill({
  kind: "ramp",
  words: "mixed",
  Panel({ label, fill, onChange }) {
    return (
      <>
        ,{" "}
        <Choice
          label={`${label} order`}
          value={fill.by}
          choices={ORDERS}
          onChange={(by) => onChange({ ...fill, by }, `${label} mixed ${by}`)}
        />
      </>
    );
  },
});
