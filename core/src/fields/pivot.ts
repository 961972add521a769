import { lazy, string } from "yup";
import { FOOT, type FieldOf, type Pivot, type PivotField } from "./field";
import type { Limits } from "./limits";
import { resolvePair, rewritePair } from "./pair";
import { TRAITS } from "./quantities";
import { rewriteEntries } from "./rewriting";
import { exactly, pairOf } from "./schemaPieces";
import { isBoxPivot, isPair, isRecord, isSame, type BoxPivotValue, type PairValue } from "./stored";

/** Where a pivot may be set, millimetres. */
export const PIVOT_LIMITS: Limits = TRAITS.length;
/** A pivot may stand outside the group's box, within reason. */
export const BOX_SHARE_LIMITS: Limits = { min: -100, max: 100, whole: false };

/** A pivot as the file holds it. */
type PivotValue = PairValue | BoxPivotValue | typeof FOOT;

function pivotSchema(value: unknown) {
  if (typeof value === "string") return string().oneOf([FOOT]).default(undefined).optional();
  const pair = isRecord(value) && "box" in value ? exactly({ box: pairOf(BOX_SHARE_LIMITS) }) : pairOf(PIVOT_LIMITS);
  return pair.default(undefined).optional();
}

/** The point a rule turns or scales about. */
export function pivot(standard: Exclude<Pivot, string>): PivotField & FieldOf<Pivot, PivotValue | undefined> {
  const written = "point" in standard ? standard.point : { box: standard.share };
  return {
    type: "pivot",
    default: standard,
    schema: () => lazy(pivotSchema),
    isDefault: (stored) => stored === undefined || isSame(stored, written),
    complete: (stored) => (stored === FOOT || isPair(stored) || isBoxPivot(stored) ? stored : undefined),
    brief: (stored) => stored,
    resolve(stored, resolver, path) {
      if (stored === FOOT) return FOOT;
      if (isBoxPivot(stored)) return { share: resolvePair(stored.box, BOX_SHARE_LIMITS, resolver, `${path}.box`) };
      return isPair(stored) ? { point: resolvePair(stored, PIVOT_LIMITS, resolver, path) } : standard;
    },
    rewrite(stored, by, path) {
      if (stored === FOOT) return stored;
      if (!isBoxPivot(stored)) return rewritePair(stored, by, path);
      return rewriteEntries(stored, (key, value) => rewritePair(value, by, `${path}.${key}`));
    },
    words: () => [FOOT],
  };
}
