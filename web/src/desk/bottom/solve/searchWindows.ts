import type { NumberAtHand } from "@/store/atHand";
import { stepFor } from "../neighbourValues";

/** Steps to either side that are looked at first, and how many times as many after that. */
const STEPS = 24;
const WIDER = 4;
const TIMES = 3;
/** Whole numbers tried at most. */
const MOST_WHOLE = 240;

/** Ranges about a number's present value in which another is looked for, each wider than the one before; within its limits. */
export function searchWindows(atHand: NumberAtHand): { readonly from: number; readonly to: number }[] {
  const { value, min, max, whole } = atHand;
  const first = Math.max(STEPS * stepFor(atHand), Math.abs(value) * 1.5);
  return Array.from({ length: TIMES }, (_, k) => {
    const reach = first * WIDER ** k;
    const half = whole ? Math.min(reach, MOST_WHOLE / 2) : reach;
    return { from: Math.max(min, value - half), to: Math.min(max, value + half) };
  });
}
