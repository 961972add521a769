import { lazy } from "yup";
import type { NumberValue } from "../formula/numbers";
import type { Point } from "../geometry/point";
import type { FieldOf, PairField, Quantity } from "./field";
import type { Limits } from "./limits";
import { TRAITS, type Overrides } from "./quantities";
import type { Resolver } from "./resolver";
import { rewriteEntries, rewriteNumber, type Rewriting } from "./rewriting";
import { numberValue, pairOf } from "./schemaPieces";
import { isNumberValue, isPair, isRecord, isSame, type PairValue } from "./stored";

/** Two numbers, across and down; with `single`, one may stand for both. */
export function pair(
  quantity: Quantity,
  standard: Point,
  options: Overrides & { readonly single: boolean },
): PairField & FieldOf<Point, PairValue | NumberValue> {
  const { single, ...overrides } = options;
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "pair",
    ...traits,
    single,
    default: standard,
    schema: () =>
      lazy((value: unknown) =>
        isRecord(value) || !single ? pairOf(traits).default(undefined).optional() : numberValue(traits),
      ),
    isDefault: (stored) =>
      stored === undefined || isSame(stored, standard) || (standard.x === standard.y && stored === standard.x),
    complete: (stored) => (isPair(stored) || isNumberValue(stored) ? stored : standard),
    brief: (stored) => stored,
    resolve(stored, resolver, path) {
      if (isNumberValue(stored)) {
        const both = resolver.number(stored, traits, path);
        return { x: both, y: both };
      }
      return isPair(stored) ? resolvePair(stored, traits, resolver, path) : standard;
    },
    rewrite: rewritePair,
    words: () => [],
  };
}

/** Two numbers computed, each at its own path. */
export function resolvePair(stored: PairValue, limits: Limits, resolver: Resolver, path: string): Point {
  return {
    x: resolver.number(stored.x, limits, `${path}.x`),
    y: resolver.number(stored.y, limits, `${path}.y`),
  };
}

/** Two numbers, or the one that stands for both, rewritten. */
export function rewritePair(stored: unknown, by: Rewriting, path: string): unknown {
  if (!isRecord(stored)) return rewriteNumber(stored, by, path);
  return rewriteEntries(stored, (key, value) => rewriteNumber(value, by, `${path}.${key}`));
}
