import { useEffect, useRef } from "react";
import { useDeskStore } from "@/store/deskStore";
import type { AtHand } from "@/store/atHand";

/** A number or choice that can be taken to hand: the function takes it. It stays true to itself while it is there. */
export function useAtHand(entry: AtHand): () => void {
  const store = useDeskStore();
  const latest = useRef(entry);
  const { id, value } = entry;
  useEffect(() => {
    latest.current = entry;
  });
  useEffect(() => {
    // After all effects: until each reader of the store has noted what it has drawn, any change draws all of them again.
    queueMicrotask(() => {
      const { atHand, setAtHand } = store.getState();
      if (atHand?.id === id) setAtHand(latest.current);
    });
  }, [store, id, value]);
  useEffect(
    () => () => {
      const { atHand, setAtHand } = store.getState();
      if (atHand?.id === id) setAtHand(null);
    },
    [store, id],
  );
  return () => {
    if (store.getState().atHand?.id !== id) store.getState().setAtHand(latest.current);
  };
}
