import type { PlaneGroupSymbol } from "./planeGroups";

/** A corner of a unit, in shares of the cell's two sides. */
type Corner = readonly [u: number, v: number];

const rectangle = (u: number, v: number): readonly Corner[] => [
  [0, 0],
  [u, 0],
  [u, v],
  [0, v],
];
const THIRD = 1 / 3;
const TWO_THIRDS = 2 / 3;

/**
 * An asymmetric unit of each plane group: the smallest area whose images cover the plane once. In shares of the
 * cell's sides, after the International Tables for Crystallography, volume A.
 */
export const ASYMMETRIC_UNITS: Readonly<Record<PlaneGroupSymbol, readonly Corner[]>> = {
  p1: rectangle(1, 1),
  p2: rectangle(0.5, 1),
  pm: rectangle(0.5, 1),
  pg: rectangle(0.5, 1),
  cm: rectangle(0.5, 0.5),
  p2mm: rectangle(0.5, 0.5),
  p2mg: rectangle(0.25, 1),
  p2gg: rectangle(0.5, 0.5),
  c2mm: rectangle(0.25, 0.5),
  p4: rectangle(0.5, 0.5),
  p4mm: [
    [0, 0],
    [0.5, 0],
    [0.5, 0.5],
  ],
  p4gm: [
    [0, 0],
    [0.5, 0],
    [0, 0.5],
  ],
  p3: [
    [0, 0],
    [0.5, 0],
    [TWO_THIRDS, THIRD],
    [THIRD, TWO_THIRDS],
    [0, 0.5],
  ],
  p3m1: [
    [0, 0],
    [TWO_THIRDS, THIRD],
    [THIRD, TWO_THIRDS],
  ],
  p31m: [
    [0, 0],
    [0.5, 0],
    [TWO_THIRDS, THIRD],
    [0.5, 0.5],
  ],
  p6: [
    [0, 0],
    [0.5, 0],
    [TWO_THIRDS, THIRD],
    [0.5, 0.5],
  ],
  p6mm: [
    [0, 0],
    [0.5, 0],
    [TWO_THIRDS, THIRD],
  ],
};
