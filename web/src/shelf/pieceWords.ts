import type { ShelfKind } from "@twin-petal/core";

/** What the kinds of pieces are called, and what comes of taking one. */
export const PIECE_WORDS: Readonly<Record<ShelfKind, { readonly many: string; readonly takes: string }>> = {
  motif: { many: "Motifs", takes: "with its rules and finish" },
  rules: { many: "Rules", takes: "for any part" },
  palette: { many: "Palettes", takes: "colours with their names" },
};
