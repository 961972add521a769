import { Choice } from "@/ui/choice";
import { labelFill } from "./definition";

/** Colours that take turns. */
export const cycleLabels = labelFill({
  kind: "cycle",
  words: "in turn",
  Panel({ label, fill, rules, onChange }) {
    const orders = [
      { value: "index", words: "copy by copy" },
      { value: "ring", words: "ring by ring" },
      { value: "row", words: "row by row" },
      { value: "column", words: "column by column" },
      { value: "distance", words: "from the centre out" },
      { value: "angle", words: "around the centre" },
      ...rules.map((kind, index) => ({ value: `rule:${index + 1}`, words: `by the ${kind} (rule ${index + 1})` })),
    ];
    return (
      <>
        ,{" "}
        <Choice
          label={`${label} order`}
          value={fill.by}
          choices={orders}
          onChange={(by) => onChange({ ...fill, by }, `${label} in turn ${by}`)}
        />
      </>
    );
  },
});
