import { choice } from "../fields/choice";
import type { StoredOf } from "../fields/field";
import { orNone } from "../fields/nullable";
import { number } from "../fields/number";
import { record } from "../fields/record";
import { grain } from "../finish/effects/grain";
import { fill } from "../finish/fills/fill";
import { UNITS } from "./units";

const SIDE = { min: 0.1, max: 100_000 };

/** The area designed on. */
export const SHEET_FIELDS = record({
  width: number("length", 200, SIDE),
  height: number("length", 200, SIDE),
  unit: choice(UNITS, "mm"),
  margin: number("length", 10, { min: 0, max: 50_000 }),
  /** A fill over the whole sheet; colours that would take turns count as their first. */
  ground: orNone(fill("#FFFFFF")),
  /** Grain over the ground; null for none. */
  grain: grain.field,
});

/** A sheet as a design holds it. */
export type Sheet = StoredOf<typeof SHEET_FIELDS.fields>;
/** The sheet of a design that says nothing of it. */
export const SHEET_DEFAULT: Sheet = SHEET_FIELDS.complete({});
