import type { CellOperation } from "./planeGroups";

const HALF = 0.5;
const same: CellOperation = [1, 0, 0, 1, 0, 0];
const halfTurn: CellOperation = [-1, 0, 0, -1, 0, 0];
const across = (e = 0): CellOperation => [-1, 0, 0, 1, e, 0];
const along = (e = 0): CellOperation => [1, 0, 0, -1, e, 0];

/**
 * The 7 frieze groups under the symbols of the International Tables, volume E: the images of a point in
 * general position within one repeat. x in shares of the repeat, y from the border's middle line.
 */
export const FRIEZE_GROUPS = {
  p1: [same],
  p211: [same, halfTurn],
  pm11: [same, across()],
  p11m: [same, along()],
  p11g: [same, along(HALF)],
  p2mm: [same, halfTurn, across(), along()],
  p2mg: [same, halfTurn, across(HALF), along(HALF)],
} as const satisfies Readonly<Record<string, readonly CellOperation[]>>;

/** A frieze group's symbol. */
export type FriezeSymbol = keyof typeof FRIEZE_GROUPS;
/** The symbols of the 7 frieze groups, in the order they are offered. */
export const FRIEZE_SYMBOLS: readonly FriezeSymbol[] = ["p1", "p211", "pm11", "p11m", "p11g", "p2mm", "p2mg"];
