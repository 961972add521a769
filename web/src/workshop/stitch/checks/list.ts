import { amount } from "./amount";
import { changes } from "./changes";
import type { StitchCheckLabel } from "./definition";
import { dense } from "./dense";
import { hoop } from "./hoop";
import { jumps } from "./jumps";
import { lengths } from "./lengths";

/** How every check of stitches is told, in order. */
export const STITCH_CHECK_LABELS: readonly StitchCheckLabel[] = [hoop, lengths, dense, jumps, changes, amount];
