import {
  formatOf,
  type FlatFormat,
  makePng,
  makeSvg,
  subjectOf,
  tileOfScene,
  type Design,
  type Tile,
  USUAL_OPTIONS,
  type MakeOptions,
} from "../src";

/** A design as an SVG. */
export const svgOf = (design: Design): string => makeSvg(subjectOf(design));

/** A design as a PNG, so many pixels across. */
export const pngOf = (design: Design, width: number) => makePng(subjectOf(design).scene, width);

/** A design's seamless tile. */
export function tileOf(design: Design): Tile | null {
  const tile = tileOfScene(subjectOf(design).scene);
  return "frame" in tile ? tile : null;
}

/** What a format says of a design. */
export const notesOf = (extension: string, design: Design, options: Partial<MakeOptions> = {}): string =>
  (flatFormat(extension).notes?.(subjectOf(design), { ...USUAL_OPTIONS, ...options }) ?? []).join("; ");

/** A format of what lies flat, by its ending. */
export function flatFormat(extension: string): FlatFormat {
  const format = formatOf(extension);
  if (
    !format ||
    format.kind === "solid" ||
    format.kind === "cut" ||
    format.kind === "print" ||
    format.kind === "stitch"
  )
    throw new Error(`there is no flat format ${extension}`);
  return format;
}
