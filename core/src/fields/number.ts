import type { NumberValue } from "../formula/numbers";
import type { FieldOf, FollowingField, NumberField, Quantity } from "./field";
import { leaf } from "./leaf";
import { TRAITS, type Overrides } from "./quantities";
import { rewriteNumber } from "./rewriting";
import { numberValue } from "./schemaPieces";
import { isWithin } from "./limits";
import { isNumberValue } from "./stored";

/** A number or a formula within limits. */
export function number(
  quantity: Quantity,
  standard: number,
  overrides: Overrides = {},
): NumberField & FieldOf<number, NumberValue> {
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "number",
    default: standard,
    ...traits,
    ...leaf<number, NumberValue>({
      standard,
      is: isNumberValue,
      schema: () => numberValue(traits),
      isRight: (stored) => isWithin(stored, traits),
      resolve: (stored, resolver, path) => (stored === standard ? standard : resolver.number(stored, traits, path)),
      rewrite: (stored, by, path) => rewriteNumber(stored, by, path),
    }),
  };
}

/** A length that has to be there: more than nothing, at most ten metres. */
export function extent(standard: number): NumberField & FieldOf<number, NumberValue> {
  return number("length", standard, { min: 0.001 });
}

/** A number that follows from others unless it is set. */
export function following(
  quantity: Quantity,
  overrides: Overrides = {},
): FollowingField & FieldOf<number | undefined, NumberValue | undefined> {
  const traits = { ...TRAITS[quantity], ...overrides };
  return {
    type: "following",
    ...traits,
    ...leaf<number | undefined, NumberValue | undefined>({
      standard: undefined,
      is: isNumberValue,
      schema: () => numberValue(traits),
      resolve: (stored, resolver, path) => (stored === undefined ? undefined : resolver.number(stored, traits, path)),
      rewrite: (stored, by, path) => rewriteNumber(stored, by, path),
    }),
  };
}
