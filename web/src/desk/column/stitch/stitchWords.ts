import type { LINE_PLACES, SEWING_ORDERS, UNDERLAYS } from "@twin-petal/core";

/** What is sewn below first, in words. */
export const UNDERLAY_WORDS: Readonly<Record<(typeof UNDERLAYS)[number], string>> = {
  none: "nothing is sewn",
  edge: "thread runs along the edge",
  zigzag: "thread goes wide to and fro",
  rows: "open rows run across",
};

/** In which order copies come, in words. */
export const ORDER_WORDS: Readonly<Record<(typeof SEWING_ORDERS)[number], string>> = {
  rules: "as the rules make them",
  nearest: "by a short way",
};

/** Where a band lies, in words. */
export const PLACE_WORDS: readonly { readonly value: (typeof LINE_PLACES)[number]; readonly words: string }[] = [
  { value: "center", words: "over the outline" },
  { value: "inside", words: "inside the outline" },
  { value: "outside", words: "outside the outline" },
];
