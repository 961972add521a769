import { hasEffects } from "../finish/effects/effects";
import { changesWithin, overOf, type Paint } from "../finish/paint";
import { meets } from "../geometry/box";
import { isSimilar, sizeOf } from "../geometry/matrix";
import { boxOfPath } from "../geometry/path";
import { isSimple } from "../geometry/simple";
import { areaOfCopies, copyOutlines } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import { barePart } from "./barePart";
import type { PartScene, Scene } from "./scene";

/** Whether the outlines of all copies together, painted once, look as the copies do painted one after the other. */
export function isOneOutline(part: PartScene): boolean {
  const { geometry, finish } = part;
  const { shapes, placements } = geometry;
  const { fill, line, opacity } = finish;
  if (placements.opacity !== null || shapes.some(({ pieces }) => pieces !== null)) return false;
  if (![fill, line?.paint ?? null].every((paint) => isOneForAll(paint, placements.count))) return false;
  if (line !== null && !isSameSize(geometry)) return false;
  if (!copiesOverlap(part)) return true;
  // Where copies lie over each other their lines and their clearness show.
  const isSolid = fill?.kind === "flat" && fill.color.length < 9 && opacity === 1;
  return line === null && isSolid && shapes.every(({ path }) => isSimple(path));
}

/** Whether a paint is the same for one outline of all copies as for each of them. */
function isOneForAll(paint: Paint | null, count: number): boolean {
  if (!paint || paint.kind === "flat") return true;
  return changesWithin(paint) && (overOf(paint) === "whole" || (count <= 1 && overOf(paint) === "copy"));
}

/** Whether every copy is as large as the motif, so that its line is as wide. */
function isSameSize({ placements: { count, matrices } }: PartScene["geometry"]): boolean {
  return Array.from({ length: count }, (_, copy) => matrixAt(matrices, copy)).every(
    (matrix) => isSimilar(matrix) && Math.abs(sizeOf(matrix) - 1) < 1e-6,
  );
}

/** Pairs of boxes looked at. */
const MOST_PAIRS = 2_000_000;

/** Whether the boxes of some copies lie over each other; taken for granted where there are very many. */
export function copiesOverlap({ geometry }: PartScene): boolean {
  if (geometry.placements.count ** 2 > MOST_PAIRS) return true;
  const boxes = copyOutlines(geometry).map((path) => boxOfPath(path));
  return boxes.some((box, index) => boxes.some((other, k) => k > index && meets(box, other)));
}

/** Copies above this many are painted as one outline, where that looks the same: pictures of many would take long. */
const MANY = 2_000;

/** Whether a part's copies are painted as one outline, because they are many and look the same so. */
export function isPaintedAsOne(part: PartScene): boolean {
  return part.geometry.placements.count > MANY && isPlain(part) && isOneOutline(part);
}

/** A scene that looks the same, in which many copies of one plain colour are one outline. */
export function withOneOutlines(scene: Scene): Scene {
  const parts = scene.parts.map((part) => (isPaintedAsOne(part) ? asOneOutline(part) : part));
  return parts.every((part, number) => part === scene.parts[number]) ? scene : { ...scene, parts };
}

/** Whether a part is an area of one colour and nothing else. */
function isPlain({ finish: { fill, line, effects } }: PartScene): boolean {
  return fill?.kind === "flat" && line === null && !hasEffects(effects);
}

function asOneOutline(part: PartScene): PartScene {
  const bare = barePart({ id: part.id, name: part.name, path: areaOfCopies(part.geometry), fill: part.finish.fill });
  const { role, ownRole, visible, blend } = part;
  return { ...bare, role, ownRole, visible, blend };
}
