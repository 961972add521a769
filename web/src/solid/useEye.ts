import { useCallback, useRef, useState } from "react";
import type { Wish } from "./eye";

/** A wish before it is told from others. */
export type WishWords = Wish extends infer W ? (W extends Wish ? Omit<W, "asked"> : never) : never;

/** What moves the eye of a solid view. */
export interface EyeHand {
  readonly wish: Wish;
  ask: (wish: WishWords) => void;
}

/** The eye of a solid view, moved from outside of it. */
export function useEye(): EyeHand {
  const [wish, setWish] = useState<Wish>({ asked: 0, side: "corner" });
  const asked = useRef(0);
  const ask = useCallback((next: WishWords) => setWish({ ...next, asked: ++asked.current }), []);
  return { wish, ask };
}
