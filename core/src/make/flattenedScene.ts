import { straight } from "../geometry/cubic";
import { flattenPath } from "../geometry/flatten";
import { sizeOf } from "../geometry/matrix";
import { subpathOf, type Path } from "../geometry/path";
import type { Piece } from "../motif/drawing";
import { matrixAt } from "../rules/placements";
import type { Shape } from "../rules/shape";
import type { PartScene, Scene } from "../scene/scene";

/** A scene whose outlines are straight pieces, none of which leaves its curve by more than `tolerance` millimetres on the sheet. */
export function flattenedScene(scene: Scene, tolerance: number): Scene {
  return { ...scene, parts: scene.parts.map((part) => flattenedPart(part, tolerance)) };
}

function flattenedPart(part: PartScene, tolerance: number): PartScene {
  const { geometry } = part;
  const own = tolerance / Math.max(1e-9, largestCopy(geometry.placements));
  const shapes = geometry.shapes.map((shape) => flattenedShape(shape, own));
  return { ...part, geometry: { ...geometry, shapes } };
}

/** How much larger than the motif the largest copy is. */
function largestCopy({ count, matrices }: PartScene["geometry"]["placements"]): number {
  let largest = 0;
  for (let copy = 0; copy < count; copy++) largest = Math.max(largest, sizeOf(matrixAt(matrices, copy)));
  return largest;
}

function flattenedShape({ path, pieces }: Shape, tolerance: number): Shape {
  return {
    path: straightened(path, tolerance),
    pieces: pieces?.map((piece) => flattenedPiece(piece, tolerance)) ?? null,
  };
}

function flattenedPiece(piece: Piece, tolerance: number): Piece {
  const own = piece.at ? tolerance / Math.max(1e-9, sizeOf(piece.at)) : tolerance;
  return { ...piece, path: straightened(piece.path, own) };
}

function straightened(path: Path, tolerance: number): Path {
  return flattenPath(path, tolerance).flatMap((points, run) =>
    points.length < 2
      ? []
      : [
          subpathOf(
            points.slice(1).map((point, k) => straight(points[k] ?? point, point)),
            path[run]?.closed ?? false,
          ),
        ],
  );
}
