import type { Size } from "../geometry/size";

const MILLIMETRES_PER_INCH = 25.4;
/** Pixels of a sheet's image within an SVG: many readers of XML take no more than 10 MB … */
const MOST_IN_XML = 2_500_000;
/** … but fewer dots an inch than this look coarse on a screen, whatever the size. */
const LEAST = 120;
/** Pixels an image within any file may have on its longer side. */
export const MOST_ACROSS = 6_000;

/** Dots an inch of images within an SVG, on a sheet of so many millimetres: as asked, or as many as its readers bear. */
export function dpiWithinXml(sheet: Size, asked: number): number {
  const most = Math.sqrt(MOST_IN_XML / (sheet.width * sheet.height)) * MILLIMETRES_PER_INCH;
  return Math.min(dpiWithin(sheet, asked), Math.max(LEAST, Math.floor(most)));
}

/** Dots an inch of images within a file, on a sheet of so many millimetres: as asked, or as many as there may be. */
export function dpiWithin({ width, height }: Size, asked: number): number {
  return Math.min(asked, Math.floor((MOST_ACROSS / Math.max(width, height)) * MILLIMETRES_PER_INCH));
}
