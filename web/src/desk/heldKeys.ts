import type { HeldLook } from "@/store/hand";

/** What is seen while a key is held; the buttons that do the same are told from it too. */
export const HELD_KEYS: readonly {
  readonly key: string;
  readonly look: HeldLook;
  readonly name: string;
  readonly words: string;
}[] = [
  { key: "b", look: "before", name: "Before", words: "Held: the design as it was opened" },
  { key: "o", look: "source", name: "Source", words: "Held: only the sources" },
  { key: "l", look: "lines", name: "Lines", words: "Held: only lines" },
];
