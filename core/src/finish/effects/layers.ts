import type { Raster } from "../pools";
import type { Coverage } from "./coverage";
import { effectsIn, type Effects } from "./effects";

/** What lies under a part's paint and over it, as pictures that cover what the coverage does; null where nothing does. */
interface EffectLayers {
  readonly under: Raster | null;
  readonly over: Raster | null;
}

/** Computes effects from how much of each pixel the part's own paint covers. */
export function effectLayers(effects: Effects, coverage: Coverage): EffectLayers {
  const layerOn = (side: "under" | "over") => {
    const laid = effectsIn(effects).filter(({ effect }) => effect.side === side);
    if (laid.length === 0) return null;
    const layer = layerOf(coverage);
    for (const { effect, values } of laid) effect.lay(layer, values, coverage);
    return layer;
  };
  return { under: layerOn("under"), over: layerOn("over") };
}

function layerOf({ width, height }: Coverage): Raster {
  return { width, height, data: new Uint8ClampedArray(width * height * 4) };
}
