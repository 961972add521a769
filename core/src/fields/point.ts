import type { Point } from "../geometry/point";
import type { FieldOf, StructureField } from "./field";
import { leaf } from "./leaf";
import type { Limits } from "./limits";
import { resolvePair, rewritePair } from "./pair";
import { pairOf } from "./schemaPieces";
import { isPair, type PairValue } from "./stored";

/** An object with x and y, both given. */
export function point(
  standard: Point,
  limits: Limits,
): StructureField & FieldOf<Point, PairValue> & { readonly limits: Limits } {
  return {
    type: "structure",
    limits,
    ...leaf<Point, PairValue>({
      standard,
      is: isPair,
      schema: () => pairOf(limits).default(undefined).optional(),
      resolve: (stored, resolver, path) => resolvePair(stored, limits, resolver, path),
      rewrite: rewritePair,
    }),
  };
}
