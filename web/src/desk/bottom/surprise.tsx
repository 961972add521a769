import { useState } from "react";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { surprise } from "@/store/edits/surprise";
import { WordButton } from "../fields/wordButton";

/** Random values within each number's range, by a seed; kept, thrown anew, or thrown away. */
export function Surprise() {
  const store = useDeskStore();
  const [seed, setSeed] = useState(1);
  const last = useDesk((state) => state.history.past.at(-1)?.gesture);
  const pending = last !== undefined && last.startsWith("surprise/");
  const throwOne = (next: number) => {
    const { edit, chosen, history } = store.getState();
    const before = pending ? (history.past.at(-1)?.design ?? history.design) : history.design;
    const gesture = pending && last ? last : `surprise/${Date.now()}`;
    edit(surprise(before, chosen, next, gesture));
    setSeed(next + 1);
  };
  if (!pending) {
    return (
      <WordButton title="Random values within each number’s range" onClick={() => throwOne(seed)}>
        surprise
      </WordButton>
    );
  }
  return (
    <>
      <WordButton onClick={() => throwOne(seed)}>another</WordButton>
      <WordButton onClick={() => store.getState().settle()}>keep</WordButton>
      <WordButton onClick={() => store.getState().undo()}>throw away</WordButton>
    </>
  );
}
