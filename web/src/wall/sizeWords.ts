/** Millimetres in a unit. The wall must not load the core for five numbers; a test holds them equal to its own. */
export const MILLIMETRES: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, px: 25.4 / 96, pt: 25.4 / 72 };

/** A sheet's size in its own unit: "148 × 210 mm". Width and height in millimetres. */
export function sizeWords({ width, height, unit }: { width: number; height: number; unit: string }): string {
  const inUnit = (length: number) => Number((length / (MILLIMETRES[unit] ?? 1)).toFixed(2));
  return `${inUnit(width)} × ${inUnit(height)} ${unit}`;
}
