import { fill, type ColorValue, type FillValue } from "./fill";

const field = fill("#000000");

/** The colours of a fill in their order, as a design holds them. */
export function colorsOfFill(stored: FillValue | null): readonly ColorValue[] {
  const colors: ColorValue[] = [];
  const color = (own: ColorValue) => {
    colors.push(own);
    return own;
  };
  if (stored !== null) field.rewrite(stored, { motifFields: () => undefined, color }, "");
  return colors;
}
