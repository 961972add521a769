import { isUnit, MILLIMETRES_PER, type Quantity, type Unit } from "@twin-petal/core";

const MEASURE = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(mm|cm|in|px|pt|°)?$/;

/**
 * A typed plain number, with or without a unit, as the design stores it: lengths in millimetres. Null
 * for anything else, which is then read as a formula.
 */
export function parseMeasure(text: string, quantity: Quantity, sheetUnit: Unit): number | null {
  const match = MEASURE.exec(text.trim().replace("−", "-"));
  if (!match) return null;
  const [, digits = "", unit] = match;
  const value = Number(digits.replace(",", "."));
  if (quantity !== "length") return unit === undefined || unit === "°" ? value : null;
  if (unit === "°") return null;
  return value * MILLIMETRES_PER[unit !== undefined && isUnit(unit) ? unit : sheetUnit];
}
