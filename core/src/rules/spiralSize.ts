import { lazy, mixed } from "yup";
import type { FieldValue } from "../design/field";
import type { Limits } from "../design/limits";
import type { Resolver } from "../design/resolver";
import { exactly, isRecord, numberValue } from "../design/schemaPieces";
import type { SpiralSizeValue } from "../design/structures";

/** How copies grow along a spiral: not at all, in proportion to the radius, or from the first to the last. */
export type SpiralSize = null | "radius" | { readonly from: number; readonly to: number };

export const SIZE_LIMITS: Limits = { min: 0.001, max: 1_000, whole: false };

export function isSpiralSize(stored: FieldValue): stored is FieldValue & SpiralSizeValue {
  return stored === "radius" || (typeof stored === "object" && "from" in stored);
}

export function spiralSizeSchema() {
  return lazy((value: unknown) =>
    isRecord(value)
      ? exactly({ from: numberValue(SIZE_LIMITS).required(), to: numberValue(SIZE_LIMITS).required() })
      : mixed().test(
          "size",
          "must be radius, or an object with from and to",
          (text) => text === undefined || text === "radius",
        ),
  );
}

export function resolveSpiralSize(stored: SpiralSizeValue, resolver: Resolver, path: string): SpiralSize {
  if (stored === "radius") return stored;
  return {
    from: resolver.number(stored.from, SIZE_LIMITS, `${path}.from`),
    to: resolver.number(stored.to, SIZE_LIMITS, `${path}.to`),
  };
}
