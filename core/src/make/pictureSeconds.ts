import { hasEffects } from "../finish/effects/effects";
import { drawnSizeOf } from "../scene/drawnSize";
import { madeParts } from "../scene/made";
import { isPaintedAsOne } from "../scene/oneOutline";
import type { Scene } from "../scene/scene";
import { secondsFor } from "./makingSeconds";

/** What the rasteriser takes for each; copies that are one outline cost their sides alone. */
const EACH = { copies: 150e-6, sides: 8e-6, dots: 13e-6 };
/** What a pixel takes, and again for each part whose effects are computed for it. */
const A_PIXEL = { plain: 0.1e-6, withEffects: 0.8e-6 };
/** Images of effects are no larger than this, pixels. */
const LARGEST_IMAGE = 36_000_000;

/** About how long a picture takes that is so many pixels across, seconds. */
export function pictureSeconds(scene: Scene, across: number): number {
  const pixels = across * across * (scene.sheet.height / scene.sheet.width);
  const parts = madeParts(scene);
  const shaded = parts.filter(({ finish }) => hasEffects(finish.effects)).length;
  const painted = parts.reduce((sum, part) => {
    const drawn = drawnSizeOf(part.geometry, part.finish.line);
    return sum + secondsFor(isPaintedAsOne(part) ? { ...drawn, copies: 1 } : drawn, EACH);
  }, 0);
  return painted + pixels * A_PIXEL.plain + shaded * Math.min(pixels, LARGEST_IMAGE) * A_PIXEL.withEffects;
}
