import type { Alignment } from "@/store/edits/compose";

/** Where alignments set what they align. */
export const ALIGNMENT_WORDS: Readonly<Record<Alignment, string>> = {
  centre: "in the middle of the sheet",
  "middle across": "in the middle from left to right",
  "middle down": "in the middle from top to bottom",
  left: "at the left margin",
  right: "at the right margin",
  top: "at the top margin",
  bottom: "at the bottom margin",
};
