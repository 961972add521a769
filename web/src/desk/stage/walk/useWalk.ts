import { useMemo } from "react";
import {
  designResolver,
  resolveStep,
  scopeOf,
  storedSteps,
  traceWalk,
  walkTrouble,
  type TakenStep,
  type WalkEnd,
  type WalkStepValue,
} from "@twin-petal/core";
import { useDesign, useDesk } from "@/store/deskStore";
import { useNumbers } from "../../fields/useNumbers";

/** The chosen part's walk, taken. */
export interface Walk {
  readonly steps: readonly TakenStep[];
  readonly count: number;
  readonly end: WalkEnd;
  /** The step its replay is at; null while it is not replayed. */
  readonly step: TakenStep | null;
}

const taken = new WeakMap<readonly WalkStepValue[], { numbers: unknown; walk: Omit<Walk, "step"> | null }>();

function takeWalk(stored: readonly WalkStepValue[], numbers: ReadonlyMap<string, number>): Omit<Walk, "step"> | null {
  const known = taken.get(stored);
  if (known?.numbers === numbers) return known.walk;
  const resolver = designResolver(scopeOf(numbers));
  const resolved = stored.map((step) => resolveStep(step, resolver, ""));
  const sound = resolver.problems.length === 0 && walkTrouble(resolved) === null;
  const steps: TakenStep[] = [];
  const end = sound ? traceWalk(resolved, (step) => void steps.push(step)) : null;
  const walk = end && { steps, count: steps.length, end };
  taken.set(stored, { numbers, walk });
  return walk;
}

/** Null while the chosen part is no walk, or one that cannot be taken. */
export function useWalk(): Walk | null {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const walked = useDesk((state) => state.hand.walked);
  const numbers = useNumbers();
  const part = design.parts.find(({ id }) => id === chosen);
  return useMemo(() => {
    if (part?.motif.kind !== "walk") return null;
    const walk = takeWalk(storedSteps(part.motif), numbers);
    if (!walk) return null;
    return { ...walk, step: walked === null ? null : (walk.steps[Math.min(walked, walk.count - 1)] ?? null) };
  }, [part, numbers, walked]);
}
