import type { NumberTraits, Quantity } from "./field";
import type { Limits } from "./limits";

/** What numbers of each quantity may be unless a field says otherwise. Millimetres, degrees. */
export const TRAITS: Readonly<Record<Quantity, NumberTraits>> = {
  length: { quantity: "length", min: -10_000, max: 10_000, whole: false, step: 1 },
  angle: { quantity: "angle", min: -3_600, max: 3_600, whole: false, step: 1 },
  count: { quantity: "count", min: 1, max: 200_000, whole: true, step: 1 },
  share: { quantity: "share", min: 0, max: 1, whole: false, step: 0.05 },
  factor: { quantity: "factor", min: -100, max: 100, whole: false, step: 0.01 },
};

/** What a field changes of its quantity's traits. */
export type Overrides = Partial<Limits> & { readonly step?: number };
