import { cutPdf } from "./cut/cutPdf";
import { cutSvg } from "./cut/cutSvg";
import { dxf } from "./cut/dxf";
import { gcode } from "./cut/gcode";
import { designFile } from "./designFile";
import { filmSvg } from "./film/filmSvg";
import { filmZip } from "./film/filmZip";
import type { Format } from "./format";
import { pdf } from "./pdf/pdf";
import { png } from "./png";
import { printPdf } from "./print/printPdf";
import { printPng } from "./print/printPng";
import { sceneJson } from "./sceneJson";
import { svg } from "./svg/svg";
import { glb } from "./mesh/glb";
import { obj } from "./mesh/obj";
import { stl } from "./mesh/stl";
import { threeMf } from "./mesh/threeMf";
import { stitchCsv } from "./stitch/stitchCsv";
import { stitchJson } from "./stitch/stitchJson";
import { stitchSvg } from "./stitch/stitchSvg";
import { tilePng, tileSvg } from "./tileFormats";

/** Every format a design can be made into, in the order they are offered. */
export const FORMATS: readonly Format[] = [
  svg,
  pdf,
  png,
  tileSvg,
  tilePng,
  filmSvg,
  filmZip,
  stl,
  threeMf,
  obj,
  glb,
  printPdf,
  printPng,
  gcode,
  dxf,
  cutSvg,
  cutPdf,
  stitchJson,
  stitchSvg,
  stitchCsv,
  designFile,
  sceneJson,
];

/** The format of a file name's or an `as`'s ending, the longest that fits; undefined when there is none. */
export function formatOf(name: string): Format | undefined {
  const fitting = FORMATS.filter(({ extension }) => name === extension || name.endsWith(`.${extension}`));
  return fitting.sort((a, b) => b.extension.length - a.extension.length)[0];
}
