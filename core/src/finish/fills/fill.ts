import { color } from "../../fields/color";
import { fieldsByKind, type FieldsByKind } from "../../fields/byKind";
import type { FieldInfo, FieldOf } from "../../fields/field";
import { textOr } from "../../fields/oneOf";
import { variants, type ResolvedVariant, type StoredVariant } from "../../fields/variants";
import { FILLS, type FillKind } from "./list";

type Tables = FieldsByKind<typeof FILLS>;

/** `#RRGGBB`, `#RRGGBBAA` or `palette:name`. */
export type ColorValue = string;
/** A fill of several colours, as a design holds it. */
export type VariedFill = StoredVariant<Tables>;
/** One kind of fill, as a design holds it. */
export type FillOfKind<K extends FillKind> = Extract<VariedFill, { readonly kind: K }>;
/** A colour, or several. */
export type FillValue = ColorValue | VariedFill;

/** One colour, `#RRGGBB` or `#RRGGBBAA`. */
export interface FlatPaint {
  /** Tells it from other paints. */
  readonly kind: "flat";
  /** As `#RRGGBB` or `#RRGGBBAA`. */
  readonly color: string;
}

/** A fill of several colours whose numbers and colours are known. */
export type VariedPaint = ResolvedVariant<Tables>;

type FillField = FieldInfo & FieldOf<FlatPaint | VariedPaint, FillValue>;

function flat(standard: string): FieldInfo & FieldOf<FlatPaint, ColorValue> {
  const field = color(standard);
  return { ...field, resolve: (...asked) => ({ kind: "flat", color: field.resolve(...asked) }) };
}

/** What an area is filled with. */
export function fill(standard: string): FillField {
  return textOr(flat(standard), variants(fieldsByKind(FILLS)));
}

/** What a line is painted with. */
export function linePaint(standard: string): FillField {
  return textOr(flat(standard), variants(fieldsByKind(FILLS, ({ lineFields }) => lineFields)));
}
