import { isSame, mostRepeated, type Design } from "@twin-petal/core";
import type { History } from "./history";

/** The part a desk opens on: the one changed last, else the one with the most copies. */
export function workedOn({ design, past }: History): string | null {
  for (let step = past.length - 1; step >= 0; step--) {
    const changed = changedPart(past[step]?.design, past[step + 1]?.design ?? design);
    if (changed !== null && design.parts.some(({ id }) => id === changed)) return changed;
  }
  return mostRepeated(design);
}

function changedPart(before: Design | undefined, after: Design): string | null {
  const was = new Map(before?.parts.map((part) => [part.id, part]));
  return after.parts.findLast((part) => !isSame(was.get(part.id), part))?.id ?? null;
}
