import { useDesk } from "@/store/deskStore";
import type { Touched } from "@/store/hand";
import { WordButton } from "./wordButton";

/** Lets the pointer change something of the part on the sheet, until it is left so. */
export function TouchButton({ touching, words }: { touching: Touched; words: string }) {
  const current = useDesk((state) => state.hand.touching);
  const setHand = useDesk((state) => state.setHand);
  const active = current === touching;
  return (
    <WordButton aria-pressed={active} onClick={() => setHand({ touching: active ? null : touching, tool: "look" })}>
      {active ? "leave it so" : words}
    </WordButton>
  );
}
