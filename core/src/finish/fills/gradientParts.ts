import { colorAlong, middleOfGradient, placeGradient } from "../gradient";
import { GRADIENT_OVER, LINE_GRADIENT_OVER, type LineGradientOver } from "../over";

interface Blended {
  readonly stops: readonly { readonly color: string }[];
  readonly over: LineGradientOver;
}

/** What gradients of every form are alike in: their stops say the colours, `over` what they lie over. */
export const GRADIENT_PARTS = {
  colorsOf: ({ stops }: Blended) => stops.map(({ color }) => color),
  overOf: ({ over }: Blended) => over,
  middle: middleOfGradient,
  place: placeGradient,
  along: colorAlong,
};

/** The fields of a gradient in a fill, and in a line, which it may follow along. */
export function fieldsOfBoth<F>(fields: (overs: readonly LineGradientOver[]) => F): { fields: F; lineFields: F } {
  return { fields: fields(GRADIENT_OVER), lineFields: fields(LINE_GRADIENT_OVER) };
}
