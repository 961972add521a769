import { at } from "../geometry/at";
import type { Mesh } from "./mesh";
import { piecesOfMesh, type MeshPiece } from "./meshPieces";
import { withoutFlatFaces } from "./flatFaces";
import { withOwnCorners } from "./ownCorners";

/** Corners nearer than this are one, millimetres: a tenth of a thousandth shows in nothing that is made. */
const SAME = 1e-4;
/** A piece that is thinner than this on average is a film, left by rounding between two faces that touch. Millimetres. */
const FILM = 1e-3;

/** A surface that is closed and clean, and the pieces it falls into. */
export interface TidyMesh {
  readonly mesh: Mesh;
  readonly pieces: readonly MeshPiece[];
}

/**
 * The same closed surface without what rounding left in it: triangles without area, and pieces without thickness. Each
 * edge it had on two triangles it has on two again. No corner moves by more than a tenth of a thousandth of a millimetre.
 */
export function tidyMesh(mesh: Mesh): TidyMesh {
  const triangles = withoutFlatFaces(mesh, SAME);
  const pieces = piecesOfMesh({ ...mesh, triangles });
  const films = pieces.filter(({ volume, area }) => 2 * Math.abs(volume) < FILM * area);
  if (films.length === 0 && triangles === mesh.triangles) return { mesh, pieces };
  const gone = new Set(films.flatMap(({ faces }) => faces));
  const tidied = withOwnCorners(compact(mesh.positions, without(triangles, gone)));
  return { mesh: tidied, pieces: piecesOfMesh(tidied) };
}

function without(triangles: Uint32Array, gone: ReadonlySet<number>): Uint32Array {
  return triangles.filter((_, k) => !gone.has(Math.floor(k / 3)));
}

/** Only the corners that are used, in their order. */
function compact(positions: Float32Array, triangles: Uint32Array): Mesh {
  const names = new Int32Array(positions.length / 3).fill(-1);
  for (const corner of triangles) names[corner] = 0;
  let count = 0;
  names.forEach((name, corner) => {
    if (name === 0) names[corner] = count++;
  });
  if (count === names.length) return { positions, triangles };
  const kept = new Float32Array(count * 3);
  names.forEach((name, corner) => {
    if (name >= 0) kept.set(positions.subarray(corner * 3, corner * 3 + 3), name * 3);
  });
  return { positions: kept, triangles: triangles.map((corner) => at(names, corner)) };
}
