import { softShadesOf } from "../../finish/effects/softShades";
import { dpiWithinXml } from "../../finish/dpiWithin";
import { MILLIMETRES_PER, type Unit } from "../../design/units";
import { writeDesign } from "../../design/write";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
import { madeLayers, madeParts } from "../../scene/made";
import { secondsFor } from "../makingSeconds";
import type { PartScene, Scene } from "../../scene/scene";
import { meets, type Box } from "../../geometry/box";
import { decimals } from "../../geometry/decimals";
import { DESIGN_NAMESPACE } from "../embedded";
import type { PlacedRaster } from "../../finish/pools";
import { effectImages, effectsBox, type PixelGrid } from "../images/effectImages";
import { hasRestImages, imagesWithin } from "../images/imagesWithin";
import { USUAL_OPTIONS, type FlatFormat, type MakeOptions } from "../format";
import type { Subject } from "../subject";
import { imageElement } from "../images/placedImage";
import { escapeText } from "../xml";
import { paintServerLines } from "./paintServers";
import { shadedLines } from "./shadeFilter";
import { clipLines, copyLines, fillOf, motifLines, partGroup } from "./part";

const PLACES = 5;

/**
 * The design as an SVG: one path for each motif and one use for each copy, the sheet's real size, and
 * the design itself in the metadata, so that the file opens again as what it came from. Shadows and glows are filters, grain
 * and the like images in it; the rasteriser must have been loaded for those.
 */
export function makeSvg({ design, scene }: Subject, { dpi }: Pick<MakeOptions, "dpi"> = USUAL_OPTIONS): string {
  const { name, sheet } = design;
  return svgOfScene(scene, {
    title: name,
    unit: sheet.unit,
    embed: writeDesign(design),
    imageDpi: dpiWithinXml(scene.sheet, dpi),
    filters: true,
  });
}

/** What each takes as an SVG. */
export const SVG_SECONDS = { copies: 8e-6, outlines: 3e-6, dots: 3e-6 };

/** The design as vectors at real size, which opens here again. */
export const svg: FlatFormat = {
  extension: "svg",
  mediaType: "image/svg+xml",
  kind: "drawing",
  options: ["dpi", "tolerance", "lineArt"],
  saysShades: true,
  needsRasteriser: hasRestImages,
  notes: (subject, { dpi }) => imagesWithin(subject, dpiWithinXml(subject.scene.sheet, dpi), { saysShades: true }),
  imageDpi: dpiWithinXml,
  seconds: (drawn) => secondsFor(drawn, SVG_SECONDS),
  make: makeSvg,
};

/** How a picture that plays is written. */
interface Staging {
  /** Parts that are used beside those of the scene. */
  readonly also: readonly PartScene[];
  /** The lines of one made part, counted from the lowest, of those of it whole. */
  readonly lines: (number: number, whole: readonly string[]) => readonly string[];
}

/** How a scene is written as an SVG. */
interface SvgOptions {
  readonly title: string;
  readonly unit: Unit;
  /** The design file's text to carry along; null for a bare picture. */
  readonly embed: string | null;
  /** Dots an inch of images within. */
  readonly imageDpi: number;
  /** Whether soft shades are filters; images like all effects otherwise, the same everywhere. */
  readonly filters?: boolean;
  /** What is shown of the sheet, millimetres; the whole sheet unless given. */
  readonly frame?: Box;
  /** How many pixels the picture is to have, its content stretched to them; at real size unless given. */
  readonly pixels?: { readonly width: number; readonly height: number };
  /** What is seen when, where the picture plays. */
  readonly staging?: Staging;
  /** Whether it stands within another SVG, whose unit is the millimetre then. */
  readonly nested?: boolean;
}

/** A scene as an SVG. The rasteriser must have been loaded where parts have effects. */
export function svgOfScene(
  scene: Scene,
  { title, unit, embed, imageDpi, frame, pixels, filters = false, nested = false, staging }: SvgOptions,
): string {
  const { sheet } = scene;
  const { left, top, right, bottom } = frame ?? edgeOf(sheet);
  const [x, y] = [decimals(left, PLACES), decimals(top, PLACES)];
  const [across, down] = [decimals(right - left, PLACES), decimals(bottom - top, PLACES)];
  const place = `x="${x}" y="${y}" width="${across}" height="${down}"`;
  const shown = { left, top, right, bottom };
  const size = nested
    ? place
    : pixels
      ? `width="${pixels.width}" height="${pixels.height}" preserveAspectRatio="none"`
      : `width="${inUnit(right - left, unit)}" height="${inUnit(bottom - top, unit)}"`;
  const isPicture = pixels !== undefined;
  const parts = madeParts(scene);
  const used = [...parts, ...(staging?.also ?? [])];
  const grid = { dpi: imageDpi, from: { x: left, y: top } };
  const lines = [
    ...(nested ? [] : [`<?xml version="1.0" encoding="UTF-8"?>`]),
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${size} viewBox="${x} ${y} ${across} ${down}">`,
    `<title>${escapeText(title)}</title>`,
    ...(embed === null
      ? []
      : [`<metadata><design xmlns="${DESIGN_NAMESPACE}">${escapeText(embed)}</design></metadata>`]),
    `<defs>`,
    ...used.flatMap(motifLines),
    ...[...madeLayers(scene), ...(staging?.also ?? [])].flatMap(paintServerLines),
    ...used.flatMap(clipLines),
    `</defs>`,
    ...groundLines(scene, grid, isPicture, place),
    ...parts.flatMap((part, number) => {
      const held = isPicture && isBlendedBeyond(part, shown) ? [`<rect ${place} fill="#000" fill-opacity="0"/>`] : [];
      const whole = partLines(part, scene, grid, { frame: isPicture ? shown : null, filters, held });
      return staging?.lines(number, whole) ?? whole;
    }),
    `</svg>`,
  ];
  return `${lines.join("\n")}\n`;
}

interface PartOptions {
  /** A picture's frame; null for what is no picture. */
  readonly frame: Box | null;
  readonly filters: boolean;
  /** What holds its layer within the picture. */
  readonly held: readonly string[];
}

/** Whether a part blends, and stands out of the frame: the rasteriser ends over a layer that has nothing in the picture. */
function isBlendedBeyond({ blend, geometry }: PartScene, frame: Box): boolean {
  return blend !== "normal" && !meets(boxOfGeometry(geometry), frame);
}

/** A part with what lies under and over it, which blends with it as one. */
function partLines(part: PartScene, scene: Scene, grid: PixelGrid, { frame, filters, held }: PartOptions): string[] {
  const said = filters ? softShadesOf(part.finish.effects) : null;
  const { under, over } = effectImages(part, scene, grid, said?.rest);
  const isPicture = frame !== null;
  const copies = copyLines(part, frame);
  return [
    partGroup(part),
    ...held,
    ...imageLines(under, grid, isPicture),
    ...(said ? shadedLines(part, said, effectsBox(part, scene.sheet), copies) : copies),
    ...imageLines(over, grid, isPicture),
    `</g>`,
  ];
}

/** The ground as far as it is shown, and its grain. */
function groundLines({ ground, sheet }: Scene, grid: PixelGrid, isPicture: boolean, place: string): string[] {
  if (!ground) return [];
  const { over } = effectImages(ground, { sheet }, grid);
  return [`<rect ${place}${fillOf(ground, 0)}/>`, ...imageLines(over, grid, isPicture)];
}

function imageLines(image: PlacedRaster | null, grid: PixelGrid, isPicture: boolean): string[] {
  return image ? [imageElement(image, !isPicture || !isAtGrid(image, grid))] : [];
}

/** Whether an image has the grid's resolution: a large one may have less. */
function isAtGrid({ raster, box }: PlacedRaster, { dpi }: PixelGrid): boolean {
  return Math.abs((raster.width / (box.right - box.left)) * MILLIMETRES_PER.in - dpi) < 1e-3;
}

function edgeOf({ width, height }: Scene["sheet"]): Box {
  return { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
}

function inUnit(millimetres: number, unit: Unit): string {
  return decimals(millimetres / MILLIMETRES_PER[unit], PLACES) + unit;
}
