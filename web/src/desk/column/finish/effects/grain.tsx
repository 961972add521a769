import { EFFECT } from "@twin-petal/core";
import { Choice } from "@/ui/choice";
import { labelEffect, useEffectOf, type EffectPanelProps } from "./definition";

const { amount, size, seed } = EFFECT.grain.fields;

export const grainLabels = labelEffect({ kind: "grain", name: "grain", add: "grain", Panel });

function Panel({ part, values }: EffectPanelProps<"grain">) {
  const { set, number } = useEffectOf(part, "grain", "grain", values);
  return (
    <>
      <b>Grain</b> by {number("amount", values.amount, amount, (next) => ({ amount: next }))} in specks of{" "}
      {number("size", values.size, size, (next) => ({ size: next }))},{" "}
      <Choice
        label="grain colours"
        value={values.mono ? "mono" : "many"}
        choices={[
          { value: "mono", words: "light and dark" },
          { value: "many", words: "of many colours" },
        ]}
        onChange={(next) => set({ mono: next === "mono" }, next === "mono" ? "grain light and dark" : "coloured grain")}
      />
      , throw {number("throw", values.seed, seed, (next) => ({ seed: next }))}
    </>
  );
}
