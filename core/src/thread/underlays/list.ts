import type { UnderlayKind } from "../stitchFields";
import type { UnderlayDefinition } from "./definition";
import { edge } from "./edge";
import { none } from "./none";
import { rows } from "./rows";
import { zigzag } from "./zigzag";

/** Everything that may be sewn below. */
export const UNDERLAY_KINDS: { readonly [K in UnderlayKind]: UnderlayDefinition<K> } = { none, edge, zigzag, rows };
