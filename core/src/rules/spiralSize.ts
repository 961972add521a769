import { given } from "../fields/given";
import type { Limits } from "../fields/limits";
import { number } from "../fields/number";
import { textOr } from "../fields/oneOf";
import { plain } from "../fields/plain";
import { record } from "../fields/record";
import type { Resolver } from "../fields/resolver";
import { isRecord } from "../fields/stored";
import type { NumberValue } from "../formula/numbers";
import { mixed } from "yup";

/** How copies grow along a spiral, as the file holds it: in proportion to the radius, or from the first to the last. */
export type SpiralSizeValue = "radius" | { readonly from: NumberValue; readonly to: NumberValue };

/** How copies grow along a spiral: not at all, in proportion to the radius, or from the first to the last. */
export type SpiralSize = null | "radius" | { readonly from: number; readonly to: number };

/** What a size may be, as a factor. */
export const SIZE_LIMITS: Limits = { min: 0.001, max: 1_000, whole: false };

const ENDS = record({ from: given(number("factor", 1, SIZE_LIMITS)), to: given(number("factor", 1, SIZE_LIMITS)) });
const RADIUS = plain({
  standard: "radius",
  words: ["radius"],
  is: (stored) => stored === "radius",
  schema: () =>
    mixed().test(
      "size",
      "must be radius, or an object with from and to",
      (text) => text === undefined || text === "radius",
    ),
});

/** What the file may hold of a spiral's size. */
export const SPIRAL_SIZE = textOr(RADIUS, ENDS);

/** Whether a stored value says how copies grow. */
export function isSpiralSize(stored: unknown): stored is SpiralSizeValue {
  return stored === "radius" || (isRecord(stored) && "from" in stored);
}

/** How copies grow, with numbers computed. */
export function resolveSpiralSize(stored: SpiralSizeValue, resolver: Resolver, path: string): SpiralSize {
  if (stored === "radius") return stored;
  return {
    from: resolver.number(stored.from, SIZE_LIMITS, `${path}.from`),
    to: resolver.number(stored.to, SIZE_LIMITS, `${path}.to`),
  };
}
