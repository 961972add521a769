import { labelEffect, useEffectOf, type EffectPanelProps } from "./definition";
import { GrainWords } from "./grainWords";

export const grainLabels = labelEffect({ kind: "grain", name: "grain", add: "grain", Panel });

function Panel({ part, values }: EffectPanelProps<"grain">) {
  const { set } = useEffectOf(part, "grain", "grain", values);
  return <GrainWords values={values} name="grain" onSet={set} />;
}
