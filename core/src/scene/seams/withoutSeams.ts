import { hasEffects } from "../../finish/effects/effects";
import { changesWithin, colorAt, type Paint } from "../../finish/paint";
import { piecesOf } from "../../finish/line/strokesAsAreas";
import { addTo } from "../../geometry/keyedLists";
import { TooMuchEffort, withEffort } from "../../geometry/effort";
import { multiply } from "../../geometry/matrix";
import { coordinatesOf, transformPath } from "../../geometry/path";
import { NO_LINE, type Piece } from "../../motif/drawing";
import { shapeOfCopy } from "../../rules/copyOutlines";
import { matrixAt } from "../../rules/placements";
import { barePart } from "../barePart";
import type { PartScene, Scene } from "../scene";
import { edgesOf, type Edge, type PaintedArea } from "./edges";
import { stripsOf, type Strip } from "./strips";
import { seamsBetween, type Seam } from "./touching";

/** Sides looked at; a picture of more keeps its seams. */
const MOST_EDGES = 300_000;

/** Where the areas of a scene touch. */
export interface Seams {
  /** Each area as it is painted. */
  readonly areas: readonly PaintedArea[];
  /** Where two of them touch. */
  readonly seams: readonly Seam[];
}

const NO_SEAMS: Seams = { areas: [], seams: [] };

/** How many copies are looked at for seams: a measure of what it costs. */
export function copiesWithSeams(scene: Scene): number {
  return scene.parts.filter(isLookedAt).reduce((sum, { geometry }) => sum + geometry.placements.count, 0);
}

/**
 * Finds where opaque areas of one colour each touch without lying over each other, in one part or in several; none where there
 * are more sides than told.
 */
export function seamsOf(scene: Scene, most = MOST_EDGES): Seams {
  // Counted before they are written out: so many would take more room than there is.
  if (scene.parts.filter(isLookedAt).reduce((sum, part) => sum + sidesOf(part), 0) > most) return NO_SEAMS;
  const areas = scene.parts.flatMap((part, number) => (isLookedAt(part) ? areasOf(part, number) : []));
  const edges: Edge[] = edgesOf(areas);
  return { areas, seams: edges.length > most ? [] : seamsInTime(edges) };
}

/** Seconds there are to find seams, on a usual machine. */
const MOST_SECONDS = 2;

/** The seams between edges; none where there is too much to look at. */
function seamsInTime(edges: readonly Edge[]): readonly Seam[] {
  try {
    return withEffort(MOST_SECONDS, () => seamsBetween(edges)).result;
  } catch (error) {
    if (error instanceof TooMuchEffort) return [];
    throw error;
  }
}

/**
 * A scene as it is best painted in pixels so many millimetres wide: where two areas touch, each covers a pixel on the seam in
 * part only, and a share of the ground would show between them. Below both lies a strip in the colour of one.
 */
export function withoutSeams(scene: Scene, { areas, seams }: Seams, pixel: number): Scene {
  if (seams.length === 0) return scene;
  const below = new Map<number, Strip[]>();
  for (const strip of stripsOf(seams, pixel)) {
    const part = areas[strip.below]?.part ?? 0;
    addTo(below, part, strip);
  }
  const parts = scene.parts.flatMap((part, number) => {
    const strips = below.get(number);
    return strips ? [partOfStrips(`${part.id}-seams`, strips, areas), part] : [part];
  });
  return { ...scene, parts };
}

function isLookedAt({ role, visible, blend, finish }: PartScene): boolean {
  return role === "show" && visible && blend === "normal" && finish.opacity === 1 && !hasEffects(finish.effects);
}

/** The closed sides of all copies of a part, whatever paints them. */
function sidesOf({ geometry }: PartScene): number {
  const closed = geometry.shapes.map(({ path }) => coordinatesOf(path.filter((run) => run.closed)) / 6);
  const { count, shapeOf } = geometry.placements;
  if (!shapeOf) return count * (closed[0] ?? 0);
  return shapeOf.reduce((sum, shape) => sum + (closed[shape] ?? 0), 0);
}

function areasOf({ geometry, finish }: PartScene, part: number): PaintedArea[] {
  const { placements } = geometry;
  if (placements.opacity?.some((opacity) => opacity < 1)) return [];
  const colorOf = finish.fill ? flatColors(finish.fill, placements) : () => null;
  return Array.from({ length: placements.count }, (_, copy) => {
    const matrix = matrixAt(placements.matrices, copy);
    return piecesOf(shapeOfCopy(geometry, copy)).flatMap((piece): PaintedArea[] => {
      const color = opaque(piece.fill === "finish" ? colorOf(copy) : ownColor(piece));
      if (color === null || piece.opacity < 1 || piece.fillRule !== "nonzero") return [];
      const closed = piece.path.filter((run) => run.closed);
      return [{ path: transformPath(closed, piece.at ? multiply(matrix, piece.at) : matrix), color, part }];
    });
  }).flat();
}

function ownColor({ fill }: Piece): string | null {
  return typeof fill === "object" && fill && "own" in fill ? fill.own : null;
}

/** A copy's one colour; null where it changes within the copy or there is none. */
function flatColors(paint: Paint, placements: PartScene["geometry"]["placements"]): (copy: number) => string | null {
  if (paint.kind === "each") {
    return (copy) => {
      const own = paint.paints[copy];
      return own?.kind === "flat" ? own.color : null;
    };
  }
  return changesWithin(paint) ? () => null : colorAt(paint, placements);
}

function opaque(color: string | null): string | null {
  if (color === null || (color.length === 9 && !/ff$/i.test(color))) return null;
  return color.slice(0, 7);
}

/** Strips as a part that is painted as parts are, one piece a colour. */
function partOfStrips(id: string, strips: readonly Strip[], areas: readonly PaintedArea[]): PartScene {
  const byColor = new Map<string, Strip[]>();
  for (const strip of strips) {
    const color = areas[strip.area]?.color ?? "#000000";
    addTo(byColor, color, strip);
  }
  const pieces = Array.from(byColor, ([color, own]): Piece => {
    const path = own.map(({ run }) => run);
    return { path, fill: { own: color }, fillRule: "nonzero", line: NO_LINE, opacity: 1 };
  });
  const part = barePart({ id, name: id, path: pieces.flatMap(({ path }) => path) });
  const shapes = [{ path: part.geometry.path, pieces }];
  return { ...part, geometry: { ...part.geometry, shapes, copies: { ...part.geometry.copies, shapes } } };
}
