import { effectsIn, type Effects } from "./effects";
import type { SoftShade } from "./shade";

/** The effects of a paint that drawings may say in their own words, and what is left for images. */
export interface SaidEffects {
  /** Soft copies that lie under the paint, in the order they are laid. */
  readonly under: readonly SoftShade[];
  /** Those that lie over it. */
  readonly over: readonly SoftShade[];
  /** The others. */
  readonly rest: Effects;
}

/**
 * Tells soft shades from what only images can say. Images lie outside of the drawing they belong to, so that a shade which
 * lies beyond one is left to images too.
 */
export function softShadesOf(effects: Effects): SaidEffects {
  const on = (wanted: "under" | "over") => {
    const laid = effectsIn(effects).filter(({ effect }) => effect.side === wanted);
    const fromPaint = wanted === "under" ? laid.toReversed() : laid;
    const end = fromPaint.findIndex(({ effect, values }) => effect.soft(values) === null);
    const near = end < 0 ? fromPaint : fromPaint.slice(0, end);
    return wanted === "under" ? near.toReversed() : near;
  };
  const [under, over] = [on("under"), on("over")];
  const rest = [...under, ...over].reduce<Effects>((left, { effect }) => ({ ...left, [effect.kind]: null }), effects);
  const shades = (said: typeof under) => said.flatMap(({ effect, values }) => effect.soft(values) ?? []);
  return { under: shades(under), over: shades(over), rest };
}
