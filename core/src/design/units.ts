/** Units a sheet can show; inside, every length is in millimetres. */
export const UNITS = ["mm", "cm", "in", "px", "pt"] as const;
/** A unit lengths can be shown in. */
export type Unit = (typeof UNITS)[number];

/** Millimetres in one of the unit: 1 in = 25.4 mm, 1 px = 1/96 in, 1 pt = 1/72 in. */
export const MILLIMETRES_PER: Readonly<Record<Unit, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  px: 25.4 / 96,
  pt: 25.4 / 72,
};

/** Whether a text names a unit. */
export function isUnit(text: string): text is Unit {
  return UNITS.some((unit) => unit === text);
}
