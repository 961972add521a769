import { EFFECT } from "@twin-petal/core";
import { labelEffect, useEffectOf, type EffectPanelProps } from "./definition";

const { size, strength, seed } = EFFECT.texture.fields;

export const textureLabels = labelEffect({ kind: "texture", name: "facets", add: "facets", Panel });

function Panel({ part, values }: EffectPanelProps<"texture">) {
  const { number } = useEffectOf(part, "texture", "facets", values);
  return (
    <>
      <b>Facets</b> of {number("size", values.size, size, (next) => ({ size: next }))}, lit by{" "}
      {number("strength", values.strength, strength, (next) => ({ strength: next }))}, throw{" "}
      {number("throw", values.seed, seed, (next) => ({ seed: next }))}
    </>
  );
}
