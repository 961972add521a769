import type { ResolvedMaking } from "../../design/makingFields";
import { engineSolid } from "../../form/engineMesh";
import type { Mesh } from "../../form/mesh";
import type { SolidModel } from "../bodies";
import type { SolidLayout } from "../layout";
import type { CheckResult } from "./definition";
import { SOLID_CHECKS, type SolidCheckKind } from "./list";

/** What a check found, with its name. */
export interface Checked extends CheckResult {
  /** Which it is. */
  readonly kind: SolidCheckKind;
}

/** Everything that is looked at before a solid is made. The solid engine must have been loaded. */
export function checkSolids(
  { bodies, whole }: Pick<SolidModel, "bodies"> & { readonly whole: Mesh },
  layout: SolidLayout,
  making: ResolvedMaking["solid"],
): readonly Checked[] {
  const solid = engineSolid(whole);
  try {
    const asked = { bodies, whole, solid, layout, making };
    return SOLID_CHECKS.map(({ kind, check }) => ({ kind, ...check(asked) }));
  } finally {
    solid.delete();
  }
}
