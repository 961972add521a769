interface Key {
  readonly key: string;
  readonly code: string;
  readonly shiftKey: boolean;
  readonly altKey: boolean;
}

/** The node the keys are at, and which are chosen. */
export interface NodeCursor {
  readonly at: number | null;
  readonly chosen: ReadonlySet<number>;
}

/**
 * Goes through nodes by keys: full stop and comma choose the next one and the one before; with Shift it is chosen as well;
 * with Alt nothing is chosen until space chooses, or lets go of, the one that is reached. Null for other keys.
 */
export function movedCursor({ at, chosen }: NodeCursor, event: Key, count: number): NodeCursor | null {
  if (count === 0) return null;
  if (event.key === " ") {
    if (at === null || at >= count) return null;
    const next = new Set(chosen);
    if (!next.delete(at)) next.add(at);
    return { at, chosen: next };
  }
  // With Shift or Alt the same keys write other characters.
  const isNext = event.key === "." || event.code === "Period";
  if (!isNext && event.key !== "," && event.code !== "Comma") return null;
  const from = at ?? [...chosen].at(-1) ?? (isNext ? -1 : 0);
  const next = (from + (isNext ? 1 : count - 1)) % count;
  if (event.altKey) return { at: next, chosen };
  return { at: next, chosen: new Set(event.shiftKey ? [...chosen, next] : [next]) };
}
