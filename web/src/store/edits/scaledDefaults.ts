import { resolveDesign, type Design, type FieldTable, type FieldValue } from "@twin-petal/core";

/** The side of the sheet that definitions' default lengths are meant for, millimetres. */
const STANDARD_SIDE = 200;

/**
 * The default lengths of a definition made to suit the sheet: on a banner a new petal is not lost, on a
 * token it does not cover everything. Empty on sheets of about the usual size.
 */
export function scaledDefaults(design: Design, fields: FieldTable): Record<string, FieldValue> {
  const { sheet } = resolveDesign(design);
  const factor = Math.min(sheet.width, sheet.height) / STANDARD_SIDE;
  if (factor > 0.6 && factor < 1.7) return {};
  const scaled: Record<string, FieldValue> = {};
  for (const [name, field] of Object.entries(fields)) {
    if (field.type === "number" && field.quantity === "length" && field.default !== 0) {
      scaled[name] = Number((field.default * factor).toPrecision(2));
    }
    if (field.type === "pair" && field.quantity === "length" && field.single) {
      scaled[name] = Number((field.default.x * factor).toPrecision(2));
    }
  }
  return scaled;
}
