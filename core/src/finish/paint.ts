import { indexUnder, ringUnder, type Placements } from "../rules/placements";

/** What copies are painted with; colours are `#RRGGBB` or `#RRGGBBAA`. */
export type Paint =
  | { readonly kind: "flat"; readonly color: string }
  /** Colours that take turns by index, by ring, or by the index under one rule. */
  | { readonly kind: "cycle"; readonly colors: readonly string[]; readonly by: string };

/** The colours a paint uses, each once, in its own order. */
export function colorsOf(paint: Paint): readonly string[] {
  return paint.kind === "flat" ? [paint.color] : paint.colors;
}

/** A function from a copy's number to the number of its colour in `colorsOf`. */
export function colorIndexer(paint: Paint, placements: Placements): (copy: number) => number {
  if (paint.kind === "flat" || paint.colors.length < 2) return () => 0;
  const turns = paint.colors.length;
  if (paint.by === "index") return (copy) => copy % turns;
  if (paint.by === "ring") {
    const rule = placements.spans.findLastIndex(({ rings }) => rings !== null);
    return (copy) => ringUnder(placements, rule, copy) % turns;
  }
  const rule = Number(paint.by.slice("rule:".length)) - 1;
  const span = placements.spans.findIndex(({ number }) => number === rule);
  return (copy) => indexUnder(placements, span, copy) % turns;
}
