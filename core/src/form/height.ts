import { given } from "../fields/given";
import { number } from "../fields/number";

/** How high a solid is, millimetres. */
const DEPTH = given(number("length", 4, { min: 0.001, step: 0.5 }));

/** How far above the plane its foot is, millimetres. */
const BASE = number("length", 0, { step: 0.5 });

/** What forms take that stand on a foot. */
export const STANDING = { depth: DEPTH, base: BASE };

/** The same reaching further at both ends. Millimetres. */
export function reaching<V extends { readonly depth: number; readonly base: number }>(values: V, by: number): V {
  return by === 0 ? values : { ...values, base: values.base - by, depth: values.depth + 2 * by };
}
