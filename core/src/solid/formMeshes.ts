import type { CrossSection, Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import { withArena, type Arena } from "../form/arena";
import { areaOfOutline } from "../form/area";
import type { FormAsked } from "../form/definition";
import { meshOf } from "../form/engineMesh";
import type { Mesh } from "../form/mesh";
import { formOf, type ResolvedSolid } from "../form/solidFields";
import { IDENTITY } from "../geometry/matrix";
import { multiplySpace, spaceOfPlane, tilted, type SpaceMatrix } from "../geometry/space";
import { transformPath } from "../geometry/path";
import { Incomputable } from "../formula/incomputable";
import type { AreaPiece } from "./areaPieces";
import { moved } from "./moved";

/** A motif's solid of one colour, in its own space. */
export interface ColoredMesh {
  /** `#RRGGBB`; null where it has the copy's. */
  readonly color: string | null;
  /** Its surface. */
  readonly mesh: Mesh;
}

/**
 * The solids of a motif's areas, one a colour. `tolerance` in the motif's own size, millimetres. The solid engine must
 * have been loaded. Throws a Incomputable where nothing comes of it.
 */
export function formMeshes(pieces: readonly AreaPiece[], solid: ResolvedSolid, tolerance: number): ColoredMesh[] {
  const colors = [...new Set(pieces.map(({ color }) => color))];
  const meshes = colors.flatMap((color): ColoredMesh[] => {
    const own = pieces.filter((piece) => piece.color === color);
    const mesh = withArena((arena) => {
      const made = united(solidsOf(own, solid, tolerance, arena), arena);
      return made && !made.isEmpty() ? meshOf(made) : null;
    });
    return mesh ? [{ color, mesh }] : [];
  });
  if (meshes.length === 0) {
    throw new Incomputable(
      "",
      "has neither an area nor a line with a width that could stand up; give it a fill or a line",
    );
  }
  return meshes;
}

function united(solids: readonly Manifold[], arena: Arena): Manifold | undefined {
  return solids.length > 1 ? arena.keep(solidEngine().Manifold.union(solids)) : solids[0];
}

/** What lies flat is one area; what is raised or tilted within the motif is a solid by itself. */
function solidsOf(pieces: readonly AreaPiece[], solid: ResolvedSolid, tolerance: number, arena: Arena): Manifold[] {
  const form = formOf(solid.form);
  const asked: FormAsked = { tolerance, through: solid.role === "cutter" ? solid.through : 0, arena };
  const stand = (area: CrossSection) => (area.isEmpty() ? [] : [form.solid(area, solid, asked)]);
  const flat = pieces.filter(({ height }) => height === null);
  const areas = flat.map(({ path, fillRule, at }) =>
    areaOfOutline(at === IDENTITY ? path : transformPath(path, at), fillRule, tolerance, arena),
  );
  const [first, ...others] = areas;
  const whole = first && others.length > 0 ? arena.keep(solidEngine().CrossSection.union(areas)) : first;
  const raised = pieces.flatMap(({ path, fillRule, at, height }) => {
    if (!height) return [];
    const own = stand(areaOfOutline(path, fillRule, tolerance, arena));
    const tilt = tilted({ x: height.tiltX, y: height.tiltY, z: 0 });
    const placed: SpaceMatrix = multiplySpace(spaceOfPlane(at, height.rise, height.zScale), tilt);
    return own.map((one) => arena.keep(moved(one, placed)));
  });
  return [...(whole ? stand(whole) : []), ...raised];
}
