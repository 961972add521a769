import { string } from "yup";
import { color } from "../fields/color";
import type { FieldInfo, FieldOf, StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { record } from "../fields/record";
import { colorValue } from "../fields/schemaPieces";
import { text } from "../fields/text";

const name = text("", 40, () =>
  string()
    .required()
    .matches(/^[^\s:][^:]{0,39}$/, "must be 1 to 40 characters without a colon"),
);

/** A colour that is no name of another. */
const own: FieldInfo & FieldOf<string, string> = {
  ...color(),
  schema: () =>
    colorValue()
      .required()
      .test("own", "must be #RRGGBB or #RRGGBBAA", (value) => !String(value).startsWith("palette:")),
  rewrite: (stored) => stored,
};

/** A colour that fills, lines and shades may use by its name. */
export const PALETTE_COLOR = record({ name: given(name), color: given(own) });

/** A palette colour as a design holds it. */
export type PaletteColor = StoredOf<typeof PALETTE_COLOR.fields>;
