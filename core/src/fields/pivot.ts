import { lazy } from "yup";
import type { FieldOf, Pivot, PivotField } from "./field";
import type { Limits } from "./limits";
import { resolvePair, rewritePair } from "./pair";
import { TRAITS } from "./quantities";
import { rewriteEntries } from "./rewriting";
import { exactly, pairOf } from "./schemaPieces";
import { isBoxPivot, isPair, isRecord, isSame, type BoxPivotValue, type PairValue } from "./stored";

/** Where a pivot may be set, millimetres. */
export const PIVOT_LIMITS: Limits = TRAITS.length;
/** A pivot may stand outside the group's box, within reason. */
const BOX_SHARE_LIMITS: Limits = { min: -100, max: 100, whole: false };

/** The point a rule turns or scales about. */
export function pivot(standard: Pivot): PivotField & FieldOf<Pivot, PairValue | BoxPivotValue | undefined> {
  const written = "point" in standard ? standard.point : { box: standard.share };
  return {
    type: "pivot",
    default: standard,
    schema: () =>
      lazy((value: unknown) =>
        (isRecord(value) && "box" in value ? exactly({ box: pairOf(BOX_SHARE_LIMITS) }) : pairOf(PIVOT_LIMITS))
          .default(undefined)
          .optional(),
      ),
    isDefault: (stored) => stored === undefined || isSame(stored, written),
    complete: (stored) => (isPair(stored) || isBoxPivot(stored) ? stored : undefined),
    brief: (stored) => stored,
    resolve(stored, resolver, path) {
      if (isBoxPivot(stored)) return { share: resolvePair(stored.box, BOX_SHARE_LIMITS, resolver, `${path}.box`) };
      return isPair(stored) ? { point: resolvePair(stored, PIVOT_LIMITS, resolver, path) } : standard;
    },
    rewrite(stored, by, path) {
      if (!isBoxPivot(stored)) return rewritePair(stored, by, path);
      return rewriteEntries(stored, (key, value) => rewritePair(value, by, `${path}.${key}`));
    },
    words: () => [],
  };
}
