import { rasterise } from "../../engines/rasteriser";
import { decimals } from "../../geometry/decimals";
import { boxOfPoints, cornersOf, EMPTY_BOX, joinBoxes, type Box } from "../../geometry/box";
import { apply, invert, type Matrix } from "../../geometry/matrix";
import { bledScene } from "../../print/bledScene";
import type { PageWindow } from "../../print/layout";
import type { Scene } from "../../scene/scene";
import type { PrintFormat, PrintSubject } from "../format";
import { orWithinFrame } from "../images/withinFrame";
import { pictureSeconds } from "../pictureSeconds";
import { pixelsOf, tooManyPixels } from "../png";
import { svgOfScene } from "../svg/svg";

const PLACES = 5;
const MARK = 0.1;

/** One page of a print, counted from 1, as a picture. The rasteriser must have been loaded. */
export function makePrintPng(subject: PrintSubject, page: number, dpi: number): Uint8Array<ArrayBuffer> {
  const { paper, pages } = subject.layout;
  const seen = (pages[page - 1]?.windows ?? []).map(seenBy).reduce(joinBoxes, EMPTY_BOX);
  return orWithinFrame(subject.scene, seen, (scene) =>
    rasterise(pageSvg({ ...subject, scene }, page, dpi), pixelsOf(paper.width, dpi), ({ png }) => png()),
  );
}

/** What of the sheet a window shows, millimetres. */
function seenBy({ matrix, clip }: PageWindow): Box {
  const back = invert(matrix);
  return back ? boxOfPoints(cornersOf(clip).map((corner) => apply(back, corner))) : EMPTY_BOX;
}

/** A scene's sheet as it was last written, and at which resolution: its pages are made one after the other. */
const sheets = new WeakMap<Scene, { readonly dpi: number; readonly svg: string }>();

function sheetSvg(scene: Scene, dpi: number): string {
  const known = sheets.get(scene);
  if (known?.dpi === dpi) return known.svg;
  const { bleed, scale } = scene.making.print;
  const bled = bledScene(scene, bleed / scale);
  const { width, height } = bled.sheet;
  const frame = { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
  const svg = svgOfScene(bled, { title: "", unit: "mm", embed: null, imageDpi: dpi / scale, frame, nested: true });
  sheets.set(scene, { dpi, svg });
  return svg;
}

function pageSvg({ layout: { paper, pages }, scene }: PrintSubject, number: number, dpi: number): string {
  const { grey } = scene.making.print;
  const sheet = sheetSvg(scene, dpi);
  const page = pages[number - 1];
  const windows = (page?.windows ?? []).flatMap(({ clip, matrix }, index) => [
    `<clipPath id="window${index}"><rect x="${at(clip.left)}" y="${at(clip.top)}" width="${at(clip.right - clip.left)}" height="${at(clip.bottom - clip.top)}"/></clipPath>`,
    `<g clip-path="url(#window${index})"><use xlink:href="#whole-sheet" transform="${matrixWords(matrix)}"/></g>`,
  ]);
  const marks = (page?.marks ?? []).map(
    ([from, to]) =>
      `<path d="M${at(from.x)} ${at(from.y)}L${at(to.x)} ${at(to.y)}" stroke="#000000" stroke-width="${MARK}"/>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 ${at(paper.width)} ${at(paper.height)}">`,
    `<defs><filter id="grey" color-interpolation-filters="sRGB" filterUnits="userSpaceOnUse" x="0" y="0" width="${at(paper.width)}" height="${at(paper.height)}"><feColorMatrix type="saturate" values="0"/></filter>`,
    `<g id="whole-sheet">${sheet}</g></defs>`,
    `<rect width="${at(paper.width)}" height="${at(paper.height)}" fill="#FFFFFF"/>`,
    `<g${grey ? ` filter="url(#grey)"` : ""}>`,
    ...windows,
    ...marks,
    `</g>`,
    `</svg>`,
  ].join("\n");
}

const at = (value: number) => decimals(value, PLACES);
const matrixWords = (matrix: Matrix) => `matrix(${matrix.map((entry) => decimals(entry, 8)).join(" ")})`;

/** A page of a print as a picture. */
export const printPng: PrintFormat = {
  extension: "print.png",
  mediaType: "image/png",
  kind: "print",
  options: ["dpi", "page"],
  needsRasteriser: () => true,
  refuses: ({ layout }, { dpi, page }) =>
    page > layout.pages.length
      ? `there is no page ${page}: it takes ${layout.pages.length}`
      : tooManyPixels(layout.paper, dpi),
  seconds: (_, { scene, layout: { paper } }, { dpi }) => pictureSeconds(scene, pixelsOf(paper.width, dpi)),
  make: (subject, { page, dpi }) => makePrintPng(subject, page, dpi),
};
