import type { ResolvedMaking } from "../../design/makingFields";
import type { Mesh } from "../../form/mesh";
import { piecesOfMesh } from "../../form/meshPieces";
import { MeshRays } from "../../form/meshRays";
import type { SolidModel } from "../bodies";
import type { SolidLayout } from "../layout";
import type { CheckResult } from "./definition";
import { SOLID_CHECKS, type SolidCheckKind } from "./list";

/** What a check found, with its name. */
export interface Checked extends CheckResult {
  /** Which it is. */
  readonly kind: SolidCheckKind;
}

/** Everything that is looked at before a solid is made. */
export function checkSolids(
  { bodies, whole }: Pick<SolidModel, "bodies"> & { readonly whole: Mesh },
  layout: SolidLayout,
  making: ResolvedMaking["solid"],
): readonly Checked[] {
  const asked = { bodies, whole, pieces: piecesOfMesh(whole), rays: new MeshRays(whole), layout, making };
  return SOLID_CHECKS.map(({ kind, check }) => ({ kind, ...check(asked) }));
}
