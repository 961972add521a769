import { multiply, rotation, scaling, translation, type Matrix } from "../geometry/matrix";
import type { PlaceValue } from "./field";
import type { Limits } from "./limits";
import type { Resolver } from "./resolver";

const ANYWHERE: Limits = { min: -10_000, max: 10_000, whole: false };

export const PLACE_DEFAULT: PlaceValue = { x: 0, y: 0, turn: 0, size: 1 };

export const PLACE_LIMITS: Readonly<Record<keyof PlaceValue, Limits>> = {
  x: ANYWHERE,
  y: ANYWHERE,
  turn: { min: -3_600, max: 3_600, whole: false },
  size: { min: 0.001, max: 1_000, whole: false },
};

/** The map of a place: sized, then turned about its own origin, then moved. */
export function resolvePlace(place: Partial<PlaceValue>, resolver: Resolver, path: string): Matrix {
  const read = (key: keyof PlaceValue) =>
    resolver.number(place[key] ?? PLACE_DEFAULT[key], PLACE_LIMITS[key], `${path}.${key}`);
  const [x, y, turn, size] = [read("x"), read("y"), read("turn"), read("size")];
  return multiply(translation(x, y), multiply(rotation(turn), scaling(size)));
}
