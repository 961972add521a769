import type { LineStitchKind } from "../stitchFields";
import type { LineStitchDefinition } from "./definition";
import { running } from "./running";
import { satin } from "./satin";

/** Every way of sewing a line. */
export const LINE_STITCH_KINDS: { readonly [K in LineStitchKind]: LineStitchDefinition<K> } = { running, satin };
