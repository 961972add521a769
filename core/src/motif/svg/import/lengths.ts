const MILLIMETRES: Readonly<Record<string, number>> = {
  "": 25.4 / 96,
  px: 25.4 / 96,
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
  em: (25.4 / 96) * 16,
  ex: (25.4 / 96) * 8,
};
const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*|%)\s*$/i;

/** Pixels of 1/96 in: the units of a file's drawing. A share is taken of `whole`; null where it is no length. */
export function pixelsOfLength(text: string | undefined, whole: number): number | null {
  const match = LENGTH.exec(text ?? "");
  if (!match) return null;
  const [, digits = "", unit = ""] = match;
  if (unit === "%") return (Number(digits) / 100) * whole;
  const millimetres = MILLIMETRES[unit.toLowerCase()];
  return millimetres === undefined ? null : (Number(digits) * millimetres * 96) / 25.4;
}

/** All numbers in a list such as points or a viewBox. */
export function numbersIn(text: string | undefined): number[] {
  return (text?.match(/[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?/gi) ?? []).map(Number);
}
