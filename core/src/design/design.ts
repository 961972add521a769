import { string } from "yup";
import type { FieldInfo, FieldOf, StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { list } from "../fields/list";
import {
  LONGEST_NAME,
  LONGEST_NOTES,
  MOST_COLORS,
  MOST_GROUPS,
  MOST_GUIDES,
  MOST_NUMBERS,
  MOST_PARTS,
} from "../fields/most";
import { record } from "../fields/record";
import { text } from "../fields/text";
import { GROUP } from "./groupFields";
import { guide } from "./guides/list";
import { MAKING, MAKING_DEFAULT } from "./makingFields";
import { NAMED_NUMBER } from "./numberFields";
import { PALETTE_COLOR } from "./paletteFields";
import { part } from "./partFields";
import { SHEET_DEFAULT, SHEET_FIELDS } from "./sheetFields";

/** The version written into every design file. */
export const FORMAT = "twin-petal/1";

const format = text(FORMAT, FORMAT.length, () => string().required().oneOf([FORMAT]));

/** A name is written whatever it is, where there is one. */
const name: FieldInfo & FieldOf<string, string> = {
  ...text("Untitled", LONGEST_NAME),
  isDefault: (stored) => stored === undefined || stored === "",
};

/** The design file: everything that is stored, each value described once. */
export const DESIGN = record({
  format: given(format),
  name,
  notes: text("", LONGEST_NOTES),
  sheet: SHEET_FIELDS,
  making: MAKING,
  numbers: list(NAMED_NUMBER, { most: MOST_NUMBERS, unique: "name" }),
  palette: list(PALETTE_COLOR, { most: MOST_COLORS, unique: "name" }),
  groups: list(GROUP, { most: MOST_GROUPS, unique: "id" }),
  guides: list(guide, { most: MOST_GUIDES }),
  /** Bottom first. */
  parts: list(part, { most: MOST_PARTS, unique: "id" }),
});

/** A whole design with every default in place, save in motifs and rules, which hold only what differs. */
export type Design = StoredOf<typeof DESIGN.fields>;

/** An empty design on the default sheet. */
export function emptyDesign(name: string): Design {
  return {
    format: FORMAT,
    name,
    notes: "",
    sheet: SHEET_DEFAULT,
    making: MAKING_DEFAULT,
    numbers: [],
    palette: [],
    groups: [],
    guides: [],
    parts: [],
  };
}

/** Puts every default in its place, so that nothing downstream asks twice. The file must have been found right. */
export function withDefaults(file: unknown): Design {
  return DESIGN.complete(file);
}
