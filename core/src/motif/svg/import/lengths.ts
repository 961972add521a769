/** Pixels in a unit, as CSS has them: 96 in an inch. */
const PIXELS: Readonly<Record<string, number>> = {
  "": 1,
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
  pt: 96 / 72,
  pc: 16,
  em: 16,
  ex: 8,
};
const LENGTH = /^\s*([+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*|%)\s*$/i;

/** Pixels of 1/96 in: the units of a file's drawing. A share is taken of `whole`; null where it is no length. */
export function pixelsOfLength(text: string | undefined, whole: number): number | null {
  const match = LENGTH.exec(text ?? "");
  if (!match) return null;
  const [, digits = "", unit = ""] = match;
  if (unit === "%") return (Number(digits) / 100) * whole;
  const pixels = PIXELS[unit.toLowerCase()];
  return pixels === undefined ? null : Number(digits) * pixels;
}

/** All numbers in a list such as points or a viewBox. */
export function numbersIn(text: string | undefined): number[] {
  return (text?.match(/[+-]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[+-]?\d+)?/gi) ?? []).map(Number);
}
