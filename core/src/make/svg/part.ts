import { strokesAsAreas, hasLineAreas } from "../../finish/line/strokesAsAreas";
import { changesWithin, colorAlongLine, colorAt, overOf, type Paint } from "../../finish/paint";
import type { Matrix } from "../../geometry/matrix";
import type { Piece, PieceLine, PiecePaint } from "../../motif/drawing";
import { matrixAt } from "../../rules/placements";
import type { Shape } from "../../rules/shape";
import { boxOfPoints, isEmpty, meets, type Box } from "../../geometry/box";
import { boxOfPath } from "../../geometry/path";
import { ORIGIN } from "../../geometry/point";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
import type { PartScene } from "../../scene/scene";
import { decimals } from "../../geometry/decimals";
import { pathData } from "../../geometry/pathData";
import { attribute } from "../xml";
import { colorAttributes, opacityAttribute, opacityOf, type PaintProperty } from "./colors";
import { isOneArea, isServed, serverName, wholeName } from "./paintServers";

/** Turns and scales are written to a millionth: over ten metres that is a hundredth of a millimetre. */
const LINEAR_PLACES = 7;
const OFFSET_PLACES = 5;

/** Each outline once: as one path, or as a group of pieces that bring their own paint. */
export function motifLines(part: PartScene): string[] {
  if (isInline(part)) return [];
  return paintedShapes(part).flatMap((shape, number) => {
    const name = motifName(part.id, number);
    if (!shape.pieces) return [`<path id="${name}" d="${pathData(shape.path)}"/>`];
    return [`<g id="${name}">`, ...pieceLines(shape, part, number, number), `</g>`];
  });
}

function paintedShapes({ geometry, finish }: PartScene): readonly Shape[] {
  return strokesAsAreas(geometry.shapes, finish.line);
}

/** Where a line that is an area takes its paint from the whole, every copy has its own: it is written out each time. */
function isInline(part: PartScene): boolean {
  const { line } = part.finish;
  return line !== null && isServed(line.paint) && overOf(line.paint) === "whole" && hasLineAreas(paintedShapes(part));
}

/** Numbers stand behind a dot, which no part's id has: no two names can be the same. */
function motifName(id: string, shape: number): string {
  return shape === 0 ? `motif-${id}` : `motif-${id}.${shape + 1}`;
}

function pieceLines(shape: Shape, part: PartScene, shapeNumber: number, copy: number): string[] {
  return (shape.pieces ?? []).map((piece) => pieceLine(piece, part, shapeNumber, copy));
}

/** What a piece leaves to the finish it says nothing of: it inherits that from the copy. */
function pieceLine(piece: Piece, part: PartScene, shapeNumber: number, copy: number): string {
  const { path, at, fill, fillRule, line, opacity } = piece;
  const attributes = [
    at ? attribute("transform", matrixText(at)) : "",
    piecePaint("fill", fill, part, shapeNumber, copy),
    fillRule === "evenodd" ? attribute("fill-rule", fillRule) : "",
    line === null ? "" : piecePaint("stroke", line.paint, part, shapeNumber, copy),
    line === null || line.paint === null ? "" : lineAttributes(line, hasDash(part)),
    opacity === 1 ? "" : attribute("opacity", decimals(opacity, 4)),
  ];
  return `<path d="${pathData(path)}"${attributes.join("")}/>`;
}

function piecePaint(property: PaintProperty, paint: PiecePaint, part: PartScene, shape: number, copy: number): string {
  const { id, finish } = part;
  const { line } = finish;
  // What the copy says of its clearness holds for its pieces too, unless they say their own.
  const isSaid = mayBeClear(property === "fill" ? finish.fill : line?.paint);
  if (paint === "finish") return "";
  if (paint === null || (paint === "line" && !line)) return attribute(property, "none");
  if (paint === "line" && line) {
    if (isServed(line.paint)) {
      const server = serverName(id, "stroke", overOf(line.paint) === "whole" ? copy : shape);
      return attribute(property, `url(#${server})`) + opacityAttribute(property, 1, isSaid);
    }
    // What a copy's line is painted with it says as its colour.
    const clear = line.paint.kind === "flat" ? opacityOf(line.paint.color) : 1;
    return attribute(property, "currentColor") + opacityAttribute(property, clear, isSaid);
  }
  if (typeof paint !== "object") return "";
  const color = "along" in paint ? lineColor(line?.paint, paint.along) : paint.own;
  return colorAttributes(property, color, 1, isSaid);
}

/** Whether a copy says how clear its paint is. */
function mayBeClear(paint: Paint | null | undefined): boolean {
  return !!paint && (paint.kind !== "flat" || opacityOf(paint.color) < 1);
}

function hasDash({ finish: { line } }: PartScene): boolean {
  return line !== null && line.dash.length > 0;
}

/** The colour of a line at a place along it. */
function lineColor(paint: Paint | undefined, along: number): string {
  return paint && changesWithin(paint) ? colorAlongLine(paint)(along) : "#000000";
}

/** What a part's group is called: no outline and no paint of any part begins so. */
function groupName(id: string): string {
  return `part-${id}`;
}

/** The opening of a part's group, with what all its copies share. */
export function partGroup(part: PartScene): string {
  const { id, finish, blend } = part;
  const { fill, line } = finish;
  const areas = hasLineAreas(paintedShapes(part));
  const shared = [
    attribute("id", groupName(id)),
    ...(fill ? flat("fill", fill) : [` fill="none"`]),
    ...(line && !areas ? [...flat("stroke", line.paint), lineAttributes(line)] : []),
    ...(line && areas && line.paint.kind === "flat" ? [attribute("color", line.paint.color.slice(0, 7))] : []),
    ...(blend === "normal" ? [] : [` style="mix-blend-mode:${blend}"`]),
  ];
  return `<g${shared.join("")}>`;
}

/** How a line is drawn; `isDashed` where one without dashes must say so. */
function lineAttributes(line: Omit<PieceLine, "paint">, isDashed = false): string {
  const dash = line.dash.map((length) => decimals(length, OFFSET_PLACES)).join(" ");
  return [
    attribute("stroke-width", decimals(line.width, OFFSET_PLACES)),
    attribute("stroke-linecap", line.cap),
    attribute("stroke-linejoin", line.join),
    ...(dash !== "" || isDashed ? [attribute("stroke-dasharray", dash || "none")] : []),
  ].join("");
}

/** A flat paint is said once for all copies. */
function flat(property: PaintProperty, paint: Paint): string[] {
  return paint.kind === "flat" ? [colorAttributes(property, paint.color)] : [];
}

/** Every copy: as a use of its outline, or written out; held within a picture's frame where one is given. */
export function copyLines(part: PartScene, frame: Box | null = null): string[] {
  if (isOneArea(part)) return [areaLine(part)];
  const { id, geometry, finish } = part;
  const { placements } = geometry;
  const { fill, line } = finish;
  const areas = hasLineAreas(paintedShapes(part));
  const paints = [
    ...(fill ? [changing("fill", fill, part)] : []),
    ...(line ? [areas ? changingColor(line.paint, placements) : changing("stroke", line.paint, part)] : []),
  ];
  const isPlain = paints.length === 1 && !areas && geometry.shapes.every(({ pieces }) => pieces === null);
  const look = (copy: number) => {
    const opacity = finish.opacity * (placements.opacity?.[copy] ?? 1);
    // What is painted once is as clear as its paint, which viewers draw many times faster than a clear group.
    const words = paints.map((attributesOf) => attributesOf(copy, isPlain ? opacity : 1)).join("");
    return [words, isPlain || opacity === 1 ? "" : attribute("opacity", decimals(opacity, 4))] as const;
  };
  const inline = isInline(part) ? paintedShapes(part) : null;
  return Array.from({ length: placements.count }, (_, copy) => {
    const matrix = matrixAt(placements.matrices, copy);
    const transform = attribute("transform", matrixText(matrix));
    const shape = placements.shapeOf?.[copy] ?? 0;
    const written = inline?.[shape];
    const line = (own: string) =>
      written
        ? `<g${own}>${pieceLines(written, part, shape, copy).join("")}</g>`
        : `<use xlink:href="#${motifName(id, shape)}"${own}/>`;
    const [words, clear] = look(copy);
    const held = frame && clear !== "" ? heldWithin(frame, boxOfPath(geometry.shapes[shape]?.path ?? [], matrix)) : "";
    return held === "" ? line(transform + words + clear) : `<g${clear}>${held}${line(transform + words)}</g>`;
  });
}

/**
 * What holds the layer of something clear within a picture, where its outlines stand out of the frame: the rasteriser ends over a
 * layer that has nothing in the picture. Seen by nobody; empty where nothing is needed.
 */
function heldWithin({ left, top, right, bottom }: Box, box: Box): string {
  if (isEmpty(box) || meets(box, { left, top, right, bottom })) return "";
  const inside = (from: number, to: number, low: number, high: number) =>
    Math.max(from, Math.min(to, (low + high) / 2));
  const [width, height] = [(right - left) / 100, (bottom - top) / 100];
  const x = inside(left, right - width, box.left, box.right);
  const y = inside(top, bottom - height, box.top, box.bottom);
  const place = Object.entries({ x, y, width, height }).map(([name, value]) =>
    attribute(name, decimals(value, OFFSET_PLACES)),
  );
  return `<rect${place.join("")} fill="#000000" fill-opacity="0" stroke="none"/>`;
}

/** All copies at once: their paint seen through their outlines. */
function areaLine(part: PartScene): string {
  const whole = boxOfGeometry(part.geometry);
  // Everything of it may have been taken away.
  const { left, top, right, bottom } = isEmpty(whole) ? boxOfPoints([ORIGIN]) : whole;
  const sides = { x: left, y: top, width: right - left, height: bottom - top };
  const box = Object.entries(sides).map(([name, value]) => attribute(name, decimals(value, OFFSET_PLACES)));
  const seen =
    attribute("fill", `url(#${wholeName(part.id, "fill")})`) + attribute("clip-path", `url(#${clipName(part.id)})`);
  return `<rect${box.join("")}${seen}/>`;
}

/** What a part's outlines are called where its paint is seen through them. */
function clipName(id: string): string {
  return `clip-${id}`;
}

/** The outlines of all copies, where their paint is seen through them. */
export function clipLines(part: PartScene): string[] {
  if (!isOneArea(part)) return [];
  const { placements } = part.geometry;
  const uses = Array.from({ length: placements.count }, (_, copy) => {
    const transform = attribute("transform", matrixText(matrixAt(placements.matrices, copy)));
    return `<use xlink:href="#${motifName(part.id, placements.shapeOf?.[copy] ?? 0)}"${transform}/>`;
  });
  return [`<clipPath id="${clipName(part.id)}">`, ...uses, `</clipPath>`];
}

function matrixText([a, b, c, d, e, f]: Matrix): string {
  const linear = [a, b, c, d].map((entry) => decimals(entry, LINEAR_PLACES));
  const offset = [e, f].map((entry) => decimals(entry, OFFSET_PLACES));
  return `matrix(${[...linear, ...offset].join(" ")})`;
}

/** How one copy of a part is filled, said in full. */
export function fillOf(part: PartScene, copy: number): string {
  const { fill } = part.finish;
  if (!fill) return attribute("fill", "none");
  return fill.kind === "flat" ? colorAttributes("fill", fill.color) : changing("fill", fill, part)(copy, 1);
}

/** What a copy says of one of its paints, which is so opaque. */
type CopyWords = (copy: number, opacity: number) => string;

/** A paint that changes from copy to copy; the colour of a flat one is said once for all. */
function changing(property: PaintProperty, paint: Paint, part: PartScene): CopyWords {
  const { id } = part;
  const { placements } = part.geometry;
  const served = (number: number, opacity: number) =>
    attribute(property, `url(#${serverName(id, property, number)})`) + opacityAttribute(property, opacity);
  if (paint.kind === "flat") {
    const own = opacityOf(paint.color);
    return (_copy, opacity) => (opacity === 1 ? "" : opacityAttribute(property, own * opacity));
  }
  if (property === "fill" && isOneArea(part)) {
    return (_copy, opacity) =>
      attribute(property, `url(#${wholeName(id, property)})`) + opacityAttribute(property, opacity);
  }
  if (isServed(paint)) {
    const numberOf = (copy: number) => (overOf(paint) === "whole" ? copy : (placements.shapeOf?.[copy] ?? 0));
    return (copy, opacity) => served(numberOf(copy), opacity);
  }
  if (paint.kind === "each") {
    return (copy, opacity) => {
      const own = paint.paints[copy];
      if (!own) return attribute(property, "none");
      return own.kind === "flat" ? colorAttributes(property, own.color, opacity) : served(copy, opacity);
    };
  }
  const colorOf = colorAt(paint, placements);
  return (copy, opacity) => colorAttributes(property, colorOf(copy), opacity);
}

/** The same for lines that are areas, which take the copy's colour. */
function changingColor(paint: Paint, placements: PartScene["geometry"]["placements"]): CopyWords {
  if (paint.kind === "flat" || isServed(paint)) return () => "";
  const colorOf = colorAt(paint, placements);
  return (copy) => attribute("color", colorOf(copy).slice(0, 7));
}
