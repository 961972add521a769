import { choice, following, number } from "../design/field";
import { IDENTITY, multiply, translation, type Matrix } from "../geometry/matrix";
import { ORIGIN } from "../geometry/point";
import { lengthHandle } from "../motif/handles";
import { defineRule } from "./definition";
import { FRIEZE_GROUPS, FRIEZE_SYMBOLS, type FriezeSymbol } from "./groups/friezeGroups";
import type { CellOperation } from "./groups/planeGroups";
import { packMatrices } from "./pack";

interface BorderValues {
  readonly group: FriezeSymbol;
  readonly count: number;
  readonly length: number | undefined;
  readonly pitch: number;
}

/**
 * A motif repeated along a level line by one of the 7 frieze groups, centred on the origin. Count and pitch
 * hold; where a length is given, the repeats that fit it best are spread over it evenly.
 */
export const border = defineRule<BorderValues>({
  kind: "border",
  fields: {
    group: choice(FRIEZE_SYMBOLS, "p1"),
    count: number("count", 8, { max: 100_000 }),
    length: following("length", { min: 0.001 }),
    /** From repeat to repeat. */
    pitch: number("length", 24, { min: 0.001 }),
  },
  handles: (values) => (values.length === undefined ? [lengthHandle("pitch", ORIGIN, 90, values.pitch)] : []),
  copies: (values) => repeatsOf(values) * FRIEZE_GROUPS[values.group].length,
  transforms(values) {
    const repeats = repeatsOf(values);
    const pitch = values.length === undefined ? values.pitch : values.length / repeats;
    const images = FRIEZE_GROUPS[values.group].map((operation) => inBorder(operation, pitch));
    return {
      matrices: packMatrices(repeats * images.length, (j) => {
        const repeat = Math.floor(j / images.length);
        const along = (repeat - (repeats - 1) / 2) * pitch;
        return multiply(translation(along, 0), images[j % images.length] ?? IDENTITY);
      }),
    };
  },
});

function repeatsOf({ count, length, pitch }: BorderValues): number {
  return length === undefined ? count : Math.max(1, Math.min(100_000, Math.round(length / pitch)));
}

function inBorder([a, b, c, d, e]: CellOperation, pitch: number): Matrix {
  return [a, c, b, d, e * pitch, 0];
}
