import type { Cap, LineJoin } from "../../geometry/strip/lineShape";
import type { Matrix } from "../../geometry/matrix";
import type { Path } from "../../geometry/path";
import { decimals } from "../../geometry/decimals";

/** Numbers are written to a hundred-thousandth of a millimetre. */
const PLACES = 5;

/** Numbers as a PDF's content writes them. */
export function pdfNumbers(values: readonly number[]): string {
  return values.map((value) => decimals(value, PLACES)).join(" ");
}

/** Turns and scales need more places than lengths do. */
export function pdfMatrix([a, b, c, d, e, f]: Matrix): string {
  return `${[a, b, c, d].map((entry) => decimals(entry, 8)).join(" ")} ${pdfNumbers([e, f])} cm`;
}

/** The operators that build a path. */
export function pdfPath(path: Path): string {
  return path
    .map(({ closed, coordinates }) => {
      const words = [`${pdfNumbers(coordinates.slice(0, 2))} m`];
      for (let k = 2; k + 5 < coordinates.length; k += 6) words.push(`${pdfNumbers(coordinates.slice(k, k + 6))} c`);
      if (closed) words.push("h");
      return words.join(" ");
    })
    .join("\n");
}

/** A colour's channels, 0…1, and its opacity. */
export function channelsOf(color: string): { rgb: readonly number[]; alpha: number } {
  const channel = (at: number) => Number.parseInt(color.slice(at, at + 2), 16) / 255;
  return { rgb: [channel(1), channel(3), channel(5)], alpha: color.length > 7 ? channel(7) : 1 };
}

const CAPS: Readonly<Record<Cap, number>> = { butt: 0, round: 1, square: 2 };
const JOINS: Readonly<Record<LineJoin, number>> = { miter: 0, round: 1, bevel: 2 };

interface Line {
  readonly width: number;
  readonly cap: Cap;
  readonly join: LineJoin;
  readonly dash: readonly number[];
}

/** The operators that set how lines are drawn. */
export function pdfLine({ width, cap, join, dash }: Line): string {
  return `${pdfNumbers([width])} w ${CAPS[cap]} J ${JOINS[join]} j 4 M [${pdfNumbers(dash)}] 0 d`;
}
