import { EngineEnded } from "../../engines/engineEnded";
import { reachOfEffects } from "../../finish/effects/effects";
import { changesWithin, overOf } from "../../finish/paint";
import { EMPTY_BOX, growBox, meets, type Box } from "../../geometry/box";
import { sizeOf } from "../../geometry/matrix";
import { boxOfPath } from "../../geometry/path";
import { reachOfLine } from "../../geometry/strip/lineShape";
import { matrixAt, pickCopies } from "../../rules/placements";
import type { PartScene, Scene } from "../../scene/scene";

/** The rasteriser ends over what is clear or blends far out of its picture: then that is left out. */
export function orWithinFrame<T>(scene: Scene, frame: Box, draw: (scene: Scene) => T): T {
  try {
    return draw(scene);
  } catch (error) {
    if (!(error instanceof EngineEnded)) throw error;
    return draw(withinFrame(scene, frame));
  }
}

/** A scene without the copies of which nothing, with line and effects, is within a frame (millimetres). */
function withinFrame(scene: Scene, frame: Box): Scene {
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
  // What joins have painted by number keeps its numbers, and colours over the whole their place: all of it goes, or none.
  if (kept.length > 0 && (geometry.joined || isPaintedOverWhole(finish))) return part;
  return { ...part, geometry: { ...geometry, placements: pickCopies(placements, kept) } };
}

function isPaintedOverWhole({ fill, line }: PartScene["finish"]): boolean {
  return [fill, line?.paint].some((paint) => paint && changesWithin(paint) && overOf(paint) === "whole");
}
