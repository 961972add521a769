import type { CrossSection, Manifold } from "manifold-3d";
import type { FieldTable, ResolvedOf } from "../fields/field";
import type { Arena } from "./arena";

/** What every form is asked. */
export interface FormAsked {
  /** How far straight pieces may leave the curves they stand for, millimetres in the motif's own size. */
  readonly tolerance: number;
  /** How much further it reaches at both ends, millimetres: what cuts right through does. */
  readonly through: number;
  /** Keeps what is made on the way. */
  readonly arena: Arena;
}

/** A way in which an area is given height. Adding one is a file with one of these and a line in the list. */
export interface FormDefinition<K extends string = string, F extends FieldTable = FieldTable> {
  /** Its name in files. */
  readonly kind: K;
  /** What it takes of a part's solid; a number that must be there is `given` here. */
  readonly fields: F;
  /**
   * The area given height, about its foot at the origin, y away and z up. Millimetres. Throws a Incomputable where
   * nothing comes of it.
   */
  solid: (area: CrossSection, values: object, asked: FormAsked) => Manifold;
}

interface FormParts<K extends string, F extends FieldTable> {
  readonly kind: K;
  readonly fields: F;
  solid: (area: CrossSection, values: ResolvedOf<F>, asked: FormAsked) => Manifold;
}

/** Makes a form of its fields and what it computes. */
export function defineForm<const K extends string, F extends FieldTable>(parts: FormParts<K, F>): FormDefinition<K, F> {
  // A part's solid holds the fields of all forms, each under its own name.
  const isOwn = (values: object): values is ResolvedOf<F> => Object.keys(parts.fields).every((name) => name in values);
  return {
    kind: parts.kind,
    fields: parts.fields,
    solid(area, values, asked) {
      if (!isOwn(values)) throw new Error(`these are not the values of the form ${parts.kind}`);
      return parts.solid(area, values, asked);
    },
  };
}
