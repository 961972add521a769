import { tidy } from "../rules/linkedNumbers";
import type { Design } from "./design";
import { resolveDesign } from "./resolve";
import type { Unit } from "./units";

/** The named number a starter's lengths all follow. */
const SIZE = "size";

/** A sheet's size as it is chosen. */
export interface SheetSize {
  /** Millimetres. */
  readonly width: number;
  /** Millimetres. */
  readonly height: number;
  /** What its lengths are shown in. */
  readonly unit: Unit;
}

/**
 * A starter laid on a sheet of another size: its number `size` grows with the sheet's shorter side, and by it all its lengths.
 * A design without such a number only gets the sheet.
 */
export function onSheet(starter: Design, { width, height, unit }: SheetSize): Design {
  const { sheet } = resolveDesign(starter);
  const factor = Math.min(width, height) / Math.min(sheet.width, sheet.height);
  const numbers = starter.numbers.map((entry) =>
    entry.name === SIZE && typeof entry.value === "number" ? { ...entry, ...grown(entry, factor) } : entry,
  );
  return { ...starter, numbers, sheet: { ...starter.sheet, width, height, unit } };
}

/** A number so many times as large, its range with it. */
function grown({ value, min, max }: Design["numbers"][number], factor: number): Partial<Design["numbers"][number]> {
  const times = (old: number) => tidy(old * factor);
  return {
    ...(typeof value === "number" && { value: times(value) }),
    ...(min !== undefined && { min: times(min) }),
    ...(max !== undefined && { max: times(max) }),
  };
}
