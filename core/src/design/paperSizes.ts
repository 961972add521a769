/** A sheet's standard size, upright, millimetres. */
interface PaperSize {
  readonly name: string;
  readonly width: number;
  readonly height: number;
}

/** ISO 216 A and B formats, and the sizes of ANSI Y14.1 in common use. */
export const PAPER_SIZES: readonly PaperSize[] = [
  { name: "A0", width: 841, height: 1189 },
  { name: "A1", width: 594, height: 841 },
  { name: "A2", width: 420, height: 594 },
  { name: "A3", width: 297, height: 420 },
  { name: "A4", width: 210, height: 297 },
  { name: "A5", width: 148, height: 210 },
  { name: "A6", width: 105, height: 148 },
  { name: "B3", width: 353, height: 500 },
  { name: "B4", width: 250, height: 353 },
  { name: "B5", width: 176, height: 250 },
  { name: "Letter", width: 215.9, height: 279.4 },
  { name: "Legal", width: 215.9, height: 355.6 },
  { name: "Tabloid", width: 279.4, height: 431.8 },
];

/** The standard size a sheet has, upright or lying; null for one of its own. */
export function paperSizeOf(width: number, height: number): PaperSize | null {
  const [short, long] = width < height ? [width, height] : [height, width];
  const isSame = (a: number, b: number) => Math.abs(a - b) < 0.05;
  return PAPER_SIZES.find((size) => isSame(size.width, short) && isSame(size.height, long)) ?? null;
}
