import type { Point } from "../geometry/point";
import type { FieldOf, StructureField } from "./field";
import { leaf } from "./leaf";
import { isWithin, type Limits } from "./limits";
import { resolvePair, rewritePair } from "./pair";
import { pairOf } from "./schemaPieces";
import { isPair, isRecord, type PairValue } from "./stored";

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
      isRight: (stored) =>
        isRecord(stored) &&
        Object.keys(stored).length === 2 &&
        isWithin(stored.x, limits) &&
        isWithin(stored.y, limits),
      resolve: (stored, resolver, path) => resolvePair(stored, limits, resolver, path),
      rewrite: rewritePair,
    }),
  };
}
