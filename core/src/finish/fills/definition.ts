import type { FieldTable, ResolvedOf, StoredOf } from "../../fields/field";
import { record } from "../../fields/record";
import type { Box } from "../../geometry/box";
import type { Placements } from "../../rules/placements";
import type { LineGradientOver } from "../over";
import type { PlacedPaint } from "../placedPaint";

/** What any fill is when its numbers and colours are known: its kind, and plain data beside it. */
interface AnyPaint {
  readonly kind: string;
}

/** Colours that take turns from copy to copy: by "index", "ring", "row", "column", "distance", "angle" or "rule:N". */
export interface Turns {
  /** One after the other, then from the first again. */
  readonly colors: readonly string[];
  /** What is counted. */
  readonly by: string;
}

/** A kind of fill of more than one colour. Adding one is a file with one of these and a line in the list. */
export interface FillDefinition<K extends string = string, F extends FieldTable = FieldTable> {
  /** Its name in files. */
  readonly kind: K;
  /** What it holds in a fill. */
  readonly fields: F;
  /** What it holds where it paints a line, which may offer more. */
  readonly lineFields: F;
  /** Whether each copy has one colour of it, or colours change within. */
  readonly changes: "fromCopyToCopy" | "within";
  /** What is told of a file that has it among its vectors as a picture; null where it needs none. */
  readonly pictured: string | null;
  /** A fill of this kind with these colours; what another one had is kept where it fits. */
  recolored: (colors: readonly string[], before: object) => { readonly kind: K } & StoredOf<F>;
  /** Its colours in order. */
  colorsOf: (paint: AnyPaint) => readonly string[];
  /** A function from a copy's number to the colour it has, or that stands for what changes within it. */
  colorAt: (paint: AnyPaint, placements: Placements) => (copy: number) => string;
  /** Colours that take turns, and what they go by; null where they do not take turns. */
  turns: (paint: AnyPaint) => Turns | null;
  /** Whether a copy's colour goes only by what the copy itself carries. */
  isCarried: (paint: AnyPaint) => boolean;
  /** What it lies over, where its colours change within. */
  overOf: (paint: AnyPaint) => LineGradientOver;
  /** Lays it over a box; `reach` is how far what is painted may go beyond it. Millimetres. */
  place: (paint: AnyPaint, box: Box, reach: number) => PlacedPaint;
  /** Its colour at a share (0…1) of a line's length. */
  along: (paint: AnyPaint) => (share: number) => string;
}

type Paint<K, F> = { readonly kind: K } & ResolvedOf<F>;

interface SharedParts<K extends string, F extends FieldTable> {
  readonly kind: K;
  readonly fields: F;
  readonly lineFields?: F;
  /** `own` is what it had where it was of this kind already, else what a new one has; `before` whatever was there. */
  recolored: (colors: readonly string[], own: StoredOf<F>, before: object) => StoredOf<F>;
  colorsOf: (paint: Paint<K, F>) => readonly string[];
}

interface AcrossParts<K extends string, F extends FieldTable> extends SharedParts<K, F> {
  colorAt: (paint: Paint<K, F>, placements: Placements) => (copy: number) => string;
  turns?: (paint: Paint<K, F>) => Turns;
  isCarried?: (paint: Paint<K, F>) => boolean;
}

interface WithinParts<K extends string, F extends FieldTable> extends SharedParts<K, F> {
  readonly pictured?: string;
  overOf: (paint: Paint<K, F>) => LineGradientOver;
  /** The colour that stands for it where it cannot be. */
  middle: (paint: Paint<K, F>) => string;
  place: (paint: Paint<K, F>, box: Box, reach: number) => PlacedPaint;
  along: (paint: Paint<K, F>) => (share: number) => string;
}

/** A fill of which each copy has one colour. */
export function defineAcross<const K extends string, F extends FieldTable>(
  parts: AcrossParts<K, F>,
): FillDefinition<K, F> {
  const own = ownOf<Paint<K, F>>(parts.kind);
  const never = (): never => {
    throw new Error(`a ${parts.kind} does not change within a copy`);
  };
  return {
    ...shared(parts),
    changes: "fromCopyToCopy",
    pictured: null,
    colorAt: (paint, placements) => parts.colorAt(own(paint), placements),
    turns: (paint) => parts.turns?.(own(paint)) ?? null,
    isCarried: (paint) => parts.isCarried?.(own(paint)) ?? false,
    overOf: () => "copy",
    place: never,
    along: never,
  };
}

/** A fill whose colours change over what is filled. */
export function defineWithin<const K extends string, F extends FieldTable>(
  parts: WithinParts<K, F>,
): FillDefinition<K, F> {
  const own = ownOf<Paint<K, F>>(parts.kind);
  return {
    ...shared(parts),
    changes: "within",
    pictured: parts.pictured ?? null,
    colorAt(paint) {
      const middle = parts.middle(own(paint));
      return () => middle;
    },
    turns: () => null,
    isCarried: () => false,
    overOf: (paint) => parts.overOf(own(paint)),
    place: (paint, box, reach) => parts.place(own(paint), box, reach),
    along: (paint) => parts.along(own(paint)),
  };
}

function shared<K extends string, F extends FieldTable>(parts: SharedParts<K, F>) {
  const own = ownOf<Paint<K, F>>(parts.kind);
  const standard = record(parts.fields);
  return {
    kind: parts.kind,
    fields: parts.fields,
    lineFields: parts.lineFields ?? parts.fields,
    recolored: (colors: readonly string[], before: object) => ({
      kind: parts.kind,
      ...parts.recolored(
        colors,
        standard.complete("kind" in before && before.kind === parts.kind ? before : {}),
        before,
      ),
    }),
    colorsOf: (paint: AnyPaint) => parts.colorsOf(own(paint)),
  };
}

/** A function that takes paints of one kind and refuses all others. */
function ownOf<P>(kind: string): (paint: AnyPaint) => P {
  const isOwn = (paint: AnyPaint): paint is AnyPaint & P => paint.kind === kind;
  return (paint) => {
    if (isOwn(paint)) return paint;
    throw new Error(`a ${paint.kind} was taken for a ${kind}`);
  };
}
