import type { EffectLabels } from "./definition";
import { glowLabels } from "./glow";
import { grainLabels } from "./grain";
import { innerShadowLabels } from "./innerShadow";
import { shadowLabels } from "./shadow";
import { textureLabels } from "./texture";

/** The words of everything that may lie under and over a part's paint, in the order it is offered. */
export const EFFECT_LABELS: readonly EffectLabels[] = [
  shadowLabels,
  glowLabels,
  innerShadowLabels,
  textureLabels,
  grainLabels,
];
