import { effectLayers, reachOfEffects, type PartScene } from "@twin-petal/core";
import type { Placing } from "./paintPart";

type Context = OffscreenCanvasRenderingContext2D;

/** Pixels a layer reaches beyond the picture at most, so that what is just outside still casts its shadow. */
const FARTHEST = 160;

/** Paints a part on a layer of its own; answers false when it was told not to go on. */
type PaintPart = (context: Context, to: Placing) => Promise<boolean>;

/** A part's layer, and how far it reaches beyond the picture to every side, pixels. */
interface EffectLayer {
  readonly layer: OffscreenCanvas;
  readonly margin: number;
}

const remembered = new WeakMap<PartScene["geometry"], { readonly key: string; readonly made: EffectLayer }>();

/**
 * A part with what lies under and over its paint, as a layer; null when it was told not to go on. Remembered while
 * nothing of it changes, so that pulling another part does not compute it again.
 */
export async function layerWithEffects(
  { geometry, finish }: PartScene,
  to: Placing,
  shown: number,
  paint: PaintPart,
): Promise<EffectLayer | null> {
  const key = JSON.stringify([finish, to, shown]);
  const known = remembered.get(geometry);
  if (known?.key === key) return known.made;
  const made = await makeLayer(finish.effects, to, paint);
  if (made) remembered.set(geometry, { key, made });
  return made;
}

async function makeLayer(
  effects: PartScene["finish"]["effects"],
  to: Placing,
  paint: PaintPart,
): Promise<EffectLayer | null> {
  const margin = Math.min(FARTHEST, Math.ceil(reachOfEffects(effects) * to.scale) + 2);
  const width = Math.ceil(to.width) + 2 * margin;
  const height = Math.ceil(to.height) + 2 * margin;
  const wider: Placing = {
    scale: to.scale,
    originX: to.originX + margin,
    originY: to.originY + margin,
    width,
    height,
  };
  const { canvas: painted, context } = canvasOf(width, height);
  if (!(await paint(context, wider))) return null;
  const alpha = alphaOf(context.getImageData(0, 0, width, height));
  const { originX, originY, scale } = wider;
  const { under, over } = effectLayers(effects, {
    width,
    height,
    alpha,
    left: -originX / scale,
    top: -originY / scale,
    scale,
  });
  const { canvas: layer, context: whole } = canvasOf(width, height);
  if (under) whole.putImageData(new ImageData(under.data, width, height), 0, 0);
  whole.drawImage(painted, 0, 0);
  if (over) {
    const { canvas, context: above } = canvasOf(width, height);
    above.putImageData(new ImageData(over.data, width, height), 0, 0);
    whole.drawImage(canvas, 0, 0);
  }
  return { layer, margin };
}

function canvasOf(width: number, height: number): { canvas: OffscreenCanvas; context: Context } {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d", { willReadFrequently: true });
  if (!context) throw new Error("the browser gives no layer to paint on");
  return { canvas, context };
}

function alphaOf({ data }: ImageData): Uint8ClampedArray {
  const alpha = new Uint8ClampedArray(data.length / 4);
  for (let pixel = 0; pixel < alpha.length; pixel++) alpha[pixel] = data[pixel * 4 + 3] ?? 0;
  return alpha;
}
