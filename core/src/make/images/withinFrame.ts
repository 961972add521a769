import { reachOfEffects } from "../../finish/effects/effects";
import { EMPTY_BOX, growBox, meets, type Box } from "../../geometry/box";
import { sizeOf } from "../../geometry/matrix";
import { boxOfPath } from "../../geometry/path";
import { reachOfLine } from "../../geometry/strip/lineShape";
import { matrixAt, pickCopies } from "../../rules/placements";
import type { PartScene, Scene } from "../../scene/scene";

/** A scene without the copies of which nothing, with line and effects, is within a frame (millimetres). */
export function withinFrame(scene: Scene, frame: Box): Scene {
  return { ...scene, parts: scene.parts.map((part) => copiesWithin(part, frame)) };
}

function copiesWithin(part: PartScene, frame: Box): PartScene {
  const { geometry, finish } = part;
  const { placements, shapes } = geometry;
  const effects = reachOfEffects(finish.effects);
  const line = finish.line ? reachOfLine(finish.line) : 0;
  const kept = Uint32Array.from({ length: placements.count }, (_, copy) => copy).filter((copy) => {
    const matrix = matrixAt(placements.matrices, copy);
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    const box = shape ? boxOfPath(shape.path, matrix) : EMPTY_BOX;
    return meets(growBox(box, effects + line * Math.max(1, sizeOf(matrix))), frame);
  });
  if (kept.length === placements.count) return part;
  // What joins have painted by number keeps its numbers: it goes as a whole or not at all.
  if (geometry.joined && kept.length > 0) return part;
  return { ...part, geometry: { ...geometry, placements: pickCopies(placements, kept) } };
}
