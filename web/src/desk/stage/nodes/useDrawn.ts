import { useMemo } from "react";
import {
  designResolver,
  nodeSymmetries,
  orbitOf,
  resolveDrawnPath,
  scopeOf,
  spreadOverOrbit,
  type DrawnPath,
  type FieldValue,
  type Part,
  type DrawnPathValue,
} from "@twin-petal/core";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { setDrawnPaths } from "@/store/edits/drawn";
import { useNumbers } from "../../fields/boundNumber";

/** The chosen part's drawn motif and what can be done to it. */
export interface Drawn {
  readonly part: Part;
  readonly paths: readonly DrawnPath[];
  /** Replaces the runs. */
  commit: (next: readonly DrawnPath[], label: string, gesture?: string) => void;
  /**
   * Replaces the runs after some nodes were moved, counted from how they were before; while matching nodes
   * are reshaped together, the others follow.
   */
  reshape: (
    before: readonly DrawnPath[],
    after: readonly DrawnPath[],
    moved: ReadonlySet<number>,
    label: string,
    gesture?: string,
  ) => void;
}

/** Null while the chosen part's motif is not a drawn one. */
export function useDrawn(): Drawn | null {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const orbit = useDesk((state) => state.hand.orbit);
  const { edit } = useEditing();
  const numbers = useNumbers();
  const part = design.parts.find(({ id }) => id === chosen);
  const stored = part?.motif.kind === "drawn" ? part.motif.paths : null;
  const paths = useMemo(() => {
    const resolver = designResolver(scopeOf(numbers));
    return isPaths(stored) ? stored.map((run) => resolveDrawnPath(run, resolver, "")) : [];
  }, [stored, numbers]);
  if (part?.motif.kind !== "drawn") return null;
  const commit = (next: readonly DrawnPath[], label: string, gesture?: string) =>
    edit(setDrawnPaths(part.id, next, label, gesture && `${part.id}/nodes/${gesture}`));
  return {
    part,
    paths,
    commit,
    reshape(before, after, moved, label, gesture) {
      const symmetries = orbit ? nodeSymmetries(before) : [];
      const own = symmetries.length > 0 ? leaders(moved, symmetries) : moved;
      commit(symmetries.length > 0 ? spreadOverOrbit(before, after, own, symmetries) : after, label, gesture);
    },
  };
}

/** Of several moved nodes that match each other only the first leads; the others follow it. */
function leaders(moved: ReadonlySet<number>, symmetries: ReturnType<typeof nodeSymmetries>): Set<number> {
  const led = new Set<number>();
  const leading = new Set<number>();
  for (const number of moved) {
    if (led.has(number)) continue;
    leading.add(number);
    for (const other of orbitOf(new Set([number]), symmetries)) led.add(other);
  }
  return leading;
}

function isPaths(stored: FieldValue | null | undefined): stored is readonly DrawnPathValue[] {
  return Array.isArray(stored);
}
