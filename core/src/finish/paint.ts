import { indexUnder, numberUnder, type Counting, type Placements } from "../rules/placements";

const COUNTINGS: ReadonlyMap<string, Counting> = new Map([
  ["ring", "rings"],
  ["row", "rows"],
  ["column", "columns"],
]);

/** What copies are painted with; colours are `#RRGGBB` or `#RRGGBBAA`. */
export type Paint =
  | { readonly kind: "flat"; readonly color: string }
  /** Colours that take turns by index, by ring, row or column, or by the index under one rule. */
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
  const counting = COUNTINGS.get(paint.by);
  if (counting) {
    const rule = placements.spans.findLastIndex((span) => span[counting] !== null);
    return (copy) => numberUnder(placements, rule, counting, copy) % turns;
  }
  const rule = Number(paint.by.slice("rule:".length)) - 1;
  const span = placements.spans.findIndex(({ number }) => number === rule);
  return (copy) => indexUnder(placements, span, copy) % turns;
}
