import { byKind } from "../../fields/byKind";
import { glow } from "./glow";
import { grain } from "./grain";
import { innerShadow } from "./innerShadow";
import { shadow } from "./shadow";
import { texture } from "./texture";

/** Everything that may lie under and over a part's paint, each side in the order it is laid. */
export const EFFECTS = [texture, shadow, innerShadow, glow, grain] as const;

/** The same by name. */
export const EFFECT = byKind(EFFECTS);

/** The name of an effect, which is its field in the finish. */
export type EffectKind = (typeof EFFECTS)[number]["kind"];
