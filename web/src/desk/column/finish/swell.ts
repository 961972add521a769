import type { SwellValue } from "@twin-petal/core";

/** Ready shapes of a swelling line, as shares of its widest: the width at each share of its length. */
export const SWELL_SHAPES: readonly {
  readonly name: string;
  readonly shape: readonly (readonly [number, number])[];
}[] = [
  {
    name: "growing",
    shape: [
      [0, 0.12],
      [1, 1],
    ],
  },
  {
    name: "full in the middle",
    shape: [
      [0, 0.08],
      [0.5, 1],
      [1, 0.08],
    ],
  },
  {
    name: "thin in the middle",
    shape: [
      [0, 1],
      [0.5, 0.15],
      [1, 1],
    ],
  },
  {
    name: "like a brush",
    shape: [
      [0, 0.3],
      [0.18, 1],
      [0.7, 0.55],
      [1, 0.02],
    ],
  },
  {
    name: "in beats",
    shape: [
      [0, 0.3],
      [0.125, 1],
      [0.25, 0.3],
      [0.375, 1],
      [0.5, 0.3],
      [0.625, 1],
      [0.75, 0.3],
      [0.875, 1],
      [1, 0.3],
    ],
  },
];

/** A ready shape as widths, millimetres. */
export function swellOf(shape: readonly (readonly [number, number])[], widest: number): SwellValue[] {
  return shape.map(([at, share]) => ({ at, width: Number((share * widest).toFixed(3)) }));
}

/** The same widths from the line's other end. */
export function reversedSwell(swell: readonly SwellValue[]): SwellValue[] {
  return swell
    .map(({ at, width }) => ({ at: typeof at === "number" ? Number((1 - at).toFixed(6)) : `1 - (${at})`, width }))
    .reverse();
}
