import { RunStrip } from "../runStrip";
import type { Layers } from "./useLayers";

const SPEEDS = [2, 5, 10, 30, 100] as const;
const WORDS = {
  start: "To the first layer",
  back: "One layer down",
  on: "One layer up",
  play: "Lay the layers",
  pause: "Pause",
  slider: "Layer",
  speed: "a second",
};

/** The run, layer by layer from the bed up. */
export function LayersStrip({ layers: { count, at, layer, goTo } }: { layers: Layers }) {
  const readout =
    at === null
      ? `${count.toLocaleString("en")} layers`
      : `layer ${at + 1} of ${count}` +
        (layer ? `, ${layer.z.toFixed(2)} mm up, ${(layer.length / 1000).toFixed(2)} m laid` : "");
  return (
    <RunStrip
      words={WORDS}
      count={count}
      at={at}
      readout={readout}
      speeds={SPEEDS}
      usual={10}
      waiting="The layers show once it is united."
      goTo={goTo}
    />
  );
}
