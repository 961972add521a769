import { useMemo } from "react";
import {
  designResolver,
  nodeSymmetries,
  orbitOf,
  resolveDrawnPath,
  scopeOf,
  spreadOverOrbit,
  storedRuns,
  type DrawnPath,
  type Motif,
  type Part,
} from "@twin-petal/core";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { setDrawnPaths } from "@/store/edits/drawn";
import { useNumbers } from "../../fields/useNumbers";

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
  const motif = part?.motif;
  const paths = useMemo(() => (motif ? runsOf(motif, numbers) : []), [motif, numbers]);
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

const remembered = new WeakMap<Motif, { numbers: unknown; runs: readonly DrawnPath[] }>();

/** A drawn motif's runs, computed once for all who ask. */
function runsOf(motif: Motif, numbers: ReadonlyMap<string, number>): readonly DrawnPath[] {
  const known = remembered.get(motif);
  if (known?.numbers === numbers) return known.runs;
  const resolver = designResolver(scopeOf(numbers));
  const runs = storedRuns(motif).map((run) => resolveDrawnPath(run, resolver, ""));
  remembered.set(motif, { numbers, runs });
  return runs;
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
