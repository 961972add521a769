import type { Design } from "../design/design";
import { MILLIMETRES_PER, type Unit } from "../design/units";
import { writeDesign } from "../design/write";
import { colorAt, isGradient, type Paint } from "../finish/paint";
import { gradientLines, gradientName } from "./svgGradients";
import { buildScene } from "../scene/sceneBuilder";
import { madeParts } from "../scene/made";
import type { PartScene, Scene } from "../scene/scene";
import type { Piece, PieceLine, PiecePaint } from "../motif/drawing";
import type { Matrix } from "../geometry/matrix";
import { matrixAt } from "../rules/placements";
import { decimals } from "./decimals";
import { DESIGN_NAMESPACE } from "./embedded";
import { pathData } from "./pathData";
import { attribute, escapeText } from "./xml";

/** Turns and scales are written to a millionth: over ten metres that is a hundredth of a millimetre. */
const LINEAR_PLACES = 7;
const OFFSET_PLACES = 5;

/**
 * The design as an SVG: one path for each motif and one use for each copy, the sheet's real size, and
 * the design itself in the metadata, so that the file opens again as what it came from.
 */
export function makeSvg(design: Design): string {
  return svgOfScene(buildScene(design), { title: design.name, unit: design.sheet.unit, embed: writeDesign(design) });
}

export interface SvgOptions {
  readonly title: string;
  readonly unit: Unit;
  /** The design file's text to carry along; null for a bare picture. */
  readonly embed: string | null;
}

export function svgOfScene(scene: Scene, { title, unit, embed }: SvgOptions): string {
  const { width, height, ground } = scene.sheet;
  const [left, top] = [decimals(-width / 2, OFFSET_PLACES), decimals(-height / 2, OFFSET_PLACES)];
  const [across, down] = [decimals(width, OFFSET_PLACES), decimals(height, OFFSET_PLACES)];
  const parts = madeParts(scene);
  const lines = [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${inUnit(width, unit)}" height="${inUnit(height, unit)}" viewBox="${left} ${top} ${across} ${down}">`,
    `<title>${escapeText(title)}</title>`,
    ...(embed === null
      ? []
      : [`<metadata><design xmlns="${DESIGN_NAMESPACE}">${escapeText(embed)}</design></metadata>`]),
    `<defs>`,
    ...parts.flatMap(({ id, geometry }) => motifLines(id, geometry)),
    ...parts.flatMap(gradientLines),
    `</defs>`,
    ...(ground === null
      ? []
      : [`<rect x="${left}" y="${top}" width="${across}" height="${down}"${paintAttributes("fill", ground)}/>`]),
    ...parts.flatMap(partLines),
    `</svg>`,
  ];
  return `${lines.join("\n")}\n`;
}

function inUnit(millimetres: number, unit: Unit): string {
  return decimals(millimetres / MILLIMETRES_PER[unit], OFFSET_PLACES) + unit;
}

/** Each outline once: as one path, or as a group of pieces that bring their own paint. */
function motifLines(id: string, { shapes }: PartScene["geometry"]): string[] {
  return shapes.flatMap(({ path, pieces }, shape) => {
    const name = motifName(id, shape);
    if (!pieces) return [`<path id="${name}" d="${pathData(path)}"/>`];
    return [`<g id="${name}">`, ...pieces.map(pieceLine), `</g>`];
  });
}

function motifName(id: string, shape: number): string {
  return shape === 0 ? `motif-${id}` : `motif-${id}-${shape + 1}`;
}

/** What a piece leaves to the finish it says nothing of: it inherits that from the copy. */
function pieceLine({ path, at, fill, fillRule, line, opacity }: Piece): string {
  const painted = (property: "fill" | "stroke", paint: PiecePaint) => {
    if (paint === "finish") return "";
    return paint === null ? ` ${property}="none"` : paintAttributes(property, paint.own);
  };
  const attributes = [
    at ? attribute("transform", matrixText(at)) : "",
    painted("fill", fill),
    fillRule === "evenodd" ? attribute("fill-rule", fillRule) : "",
    line === null ? "" : painted("stroke", line.paint) + (line.paint === null ? "" : lineAttributes(line)),
    opacity === 1 ? "" : attribute("opacity", decimals(opacity, 4)),
  ];
  return `<path d="${pathData(path)}"${attributes.join("")}/>`;
}

function partLines(part: PartScene): string[] {
  const { fill, line } = part.finish;
  const shared = [
    attribute("id", part.id),
    ...(fill ? flat("fill", fill) : [` fill="none"`]),
    ...(line ? [...flat("stroke", line.paint), lineAttributes(line)] : []),
    ...(part.blend === "normal" ? [] : [` style="mix-blend-mode:${part.blend}"`]),
  ];
  return [`<g${shared.join("")}>`, ...copyLines(part), `</g>`];
}

function lineAttributes(line: Omit<PieceLine, "paint">): string {
  const dash = line.dash.map((length) => decimals(length, OFFSET_PLACES)).join(" ");
  return [
    attribute("stroke-width", decimals(line.width, OFFSET_PLACES)),
    attribute("stroke-linecap", line.cap),
    attribute("stroke-linejoin", line.join),
    ...(dash === "" ? [] : [attribute("stroke-dasharray", dash)]),
  ].join("");
}

/** A flat paint is said once for all copies. */
function flat(property: "fill" | "stroke", paint: Paint): string[] {
  return paint.kind === "flat" ? [paintAttributes(property, paint.color)] : [];
}

function copyLines({ id, geometry, finish }: PartScene): string[] {
  const { placements } = geometry;
  const paints = [
    ...(finish.fill ? [changing("fill", finish.fill, placements, id)] : []),
    ...(finish.line ? [changing("stroke", finish.line.paint, placements, id)] : []),
  ];
  const opacityOf = (copy: number) => {
    const opacity = finish.opacity * (placements.opacity?.[copy] ?? 1);
    return opacity === 1 ? "" : attribute("opacity", decimals(opacity, 4));
  };
  return Array.from({ length: placements.count }, (_, copy) => {
    const transform = matrixText(matrixAt(placements.matrices, copy));
    const paint = paints.map((attributesOf) => attributesOf(copy)).join("");
    const name = motifName(id, placements.shapeOf?.[copy] ?? 0);
    return `<use xlink:href="#${name}" transform="${transform}"${paint}${opacityOf(copy)}/>`;
  });
}

function matrixText([a, b, c, d, e, f]: Matrix): string {
  const linear = [a, b, c, d].map((entry) => decimals(entry, LINEAR_PLACES));
  const offset = [e, f].map((entry) => decimals(entry, OFFSET_PLACES));
  return `matrix(${[...linear, ...offset].join(" ")})`;
}

/** A paint that changes from copy to copy; a flat one is said once for all. */
function changing(
  property: "fill" | "stroke",
  paint: Paint,
  placements: PartScene["geometry"]["placements"],
  part: string,
): (copy: number) => string {
  if (paint.kind === "flat") return () => "";
  if (isGradient(paint)) {
    const numberOf = (copy: number) => (paint.over === "whole" ? copy : (placements.shapeOf?.[copy] ?? 0));
    return (copy) => attribute(property, `url(#${gradientName(part, property, numberOf(copy))})`);
  }
  const colorOf = colorAt(paint, placements);
  return (copy) => paintAttributes(property, colorOf(copy));
}

/** SVG 1.1 viewers do not know #RRGGBBAA, so opacity stands apart. */
function paintAttributes(property: "fill" | "stroke", color: string): string {
  const solid = attribute(property, color.slice(0, 7));
  if (color.length < 9) return solid;
  return solid + attribute(`${property}-opacity`, decimals(Number.parseInt(color.slice(7), 16) / 255, 4));
}
