import { cutOff } from "./cutOff";
import type { PrintCheckLabel } from "./definition";
import { fits } from "./fits";
import { lightLines } from "./lightLines";
import { resolution } from "./resolution";
import { thinLines } from "./thinLines";

/** How every check of prints is told, in order. */
export const PRINT_CHECK_LABELS: readonly PrintCheckLabel[] = [fits, cutOff, thinLines, resolution, lightLines];
