import type { ColorField, FieldOf } from "./field";
import { leaf } from "./leaf";
import { colorValue } from "./schemaPieces";

/** A colour of its own or of the palette. */
export function color(standard = "#000000"): ColorField & FieldOf<string, string> {
  return {
    type: "color",
    ...leaf<string, string>({
      standard,
      is: (stored) => typeof stored === "string",
      schema: () => colorValue(),
      resolve: (stored, resolver) => resolver.color(stored),
      rewrite: (stored, by, path) => (by.color ? by.color(stored, path) : stored),
    }),
  };
}
