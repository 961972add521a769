import type { FieldTable, ResolvedOf, StoredOf } from "../../fields/field";
import type { Anchor } from "./anchor";
import type { Point } from "../../geometry/point";

/** A point of a figure, and what a hand that snaps to it is told. Millimetres. */
interface GuideCorner {
  readonly at: Point;
  readonly words: string;
}

/** A guide with its numbers known: an endless line (0° upright), a closed figure about the sheet's centre, or a measure. */
export type GuideShape =
  | { readonly through: Point; readonly angle: number }
  | { readonly name: string; readonly corners: readonly GuideCorner[] }
  | { readonly from: Anchor; readonly to: Anchor };

/** A kind of guide. Adding one is a file with one of these and a line in the list. */
export interface GuideDefinition<K extends string = string, F extends FieldTable = FieldTable> {
  /** The field that tells it from the others, which it must have. */
  readonly kind: K;
  /** What a file may say of it. */
  readonly fields: F;
  /** What a new one is. */
  readonly first: StoredOf<F>;
  /** What is drawn on the desk, of its resolved values. */
  shape: (values: object) => GuideShape;
}

interface GuideParts<K extends string, F extends FieldTable> {
  readonly kind: K & keyof F;
  readonly fields: F;
  readonly first: StoredOf<F>;
  shape: (values: ResolvedOf<F>) => GuideShape;
}

/** Makes a kind of guide of what it is called, what it holds and what it draws. */
export function defineGuide<const K extends string, F extends FieldTable>(
  parts: GuideParts<K, F>,
): GuideDefinition<K, F> {
  const isOwn = (values: object): values is ResolvedOf<F> => parts.kind in values;
  return {
    kind: parts.kind,
    fields: parts.fields,
    first: parts.first,
    shape(values) {
      if (!isOwn(values)) throw new Error(`these are not the values of the guide ${parts.kind}`);
      return parts.shape(values);
    },
  };
}
