import { unwaited } from "@/api/unwaited";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { proxy, type Remote } from "comlink";
import type { Design, Mesh } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import { startSolidWork } from "@/workers/start";
import type { ShownLayout, ShownModel, SolidWork } from "@/workers/solidWork";

/** The hand rests this long before solids are united, milliseconds. */
const REST = 350;

/** What is shown: every copy by itself, or everything united. */
export interface Solids {
  readonly layout: ShownLayout | null;
  /** Whether the layout is of the very design that is shown. */
  readonly isCurrent: boolean;
  /** Meshes by number. */
  readonly meshes: ReadonlyMap<number, Mesh>;
  /** The united solids of the very design that is shown; null while they are not made. */
  readonly model: ShownModel | null;
  /** The share of uniting that is done, 0…1; null while nothing is united. */
  readonly share: number | null;
  /** What went wrong, in words. */
  readonly trouble: string | null;
  /** Whether uniting was stopped by hand. */
  readonly isStopped: boolean;
  /** Ends the uniting at once. */
  stop: () => void;
  /** The worker that holds what was united: it checks and slices it. */
  united: () => Remote<SolidWork> | null;
}

interface SolidsState extends Omit<Solids, "stop" | "united" | "isCurrent"> {
  /** The design the layout was made of. */
  readonly laidOf: Design | null;
  /** The design the model was made of. */
  readonly of: Design | null;
}

const NOTHING: SolidsState = {
  layout: null,
  laidOf: null,
  meshes: new Map(),
  model: null,
  share: null,
  trouble: null,
  isStopped: false,
  of: null,
};

/**
 * A design's solids, live: the copies at once, united exactly when the hand rests. Two workers do it, so that uniting
 * never holds up what follows the hand. `coarse` is the tolerance of the copies, `fine` of the united solids; millimetres.
 * What is united `asOne` can be checked and sliced.
 */
export function useSolids(design: Design, coarse: number, fine: number, asOne = false): Solids {
  const [state, setState] = useState(NOTHING);
  const change = useCallback((next: Partial<SolidsState>) => setState((known) => ({ ...known, ...next })), []);
  const workers = useRef<Workers | null>(null);
  useEffect(() => {
    const own = new Workers(asOne, change, setState);
    workers.current = own;
    return () => own.end();
  }, [asOne, change]);
  useEffect(() => workers.current?.show(design, coarse, fine), [design, coarse, fine]);
  const stop = useCallback(() => workers.current?.stop(), []);
  const united = useCallback(() => workers.current?.united() ?? null, []);
  const model = state.of === design ? state.model : null;
  const isCurrent = state.laidOf === design;
  return useMemo(() => ({ ...state, isCurrent, model, stop, united }), [state, isCurrent, model, stop, united]);
}

/** The two workers of a view, and what each is at. */
class Workers {
  private readonly layouter = startSolidWork();
  private uniter = startSolidWork();
  private wanted: { design: Design; tolerance: number } | null = null;
  private busy = false;
  private timer = 0;
  private uniting = 0;

  constructor(
    private readonly asOne: boolean,
    private readonly change: (next: Partial<SolidsState>) => void,
    private readonly setState: (change: (known: SolidsState) => SolidsState) => void,
  ) {}

  /** Shows a design; one that is still computed is finished first, those between are left out. */
  show(design: Design, coarse: number, fine: number): void {
    this.wanted = { design, tolerance: coarse };
    window.clearTimeout(this.timer);
    this.uniting += 1;
    unwaited(this.uniter.work.stop());
    this.change({ share: null, isStopped: false });
    this.timer = window.setTimeout(() => void this.unite(design, fine), REST);
    if (!this.busy) unwaited(this.layOut(this.layouter.work));
  }

  /** Ends the worker that unites in the middle of its work, and starts another. */
  stop(): void {
    window.clearTimeout(this.timer);
    this.uniting += 1;
    this.uniter.end();
    this.uniter = startSolidWork();
    this.change({ share: null, isStopped: true });
  }

  united(): Remote<SolidWork> {
    return this.uniter.work;
  }

  end(): void {
    window.clearTimeout(this.timer);
    this.layouter.end();
    this.uniter.end();
  }

  private async layOut(work: Remote<SolidWork>): Promise<void> {
    this.busy = true;
    for (let next = this.wanted; next; next = this.wanted) {
      this.wanted = null;
      try {
        const { design, tolerance } = next;
        const layout = await work.layOut(design, tolerance);
        this.setState((known) => ({
          ...known,
          layout,
          laidOf: design,
          meshes: withMeshes(known.meshes, layout),
          trouble: null,
        }));
      } catch (error) {
        this.change({ trouble: messageOf(error) });
      }
    }
    this.busy = false;
  }

  private async unite(design: Design, tolerance: number): Promise<void> {
    const turn = ++this.uniting;
    const isCurrent = () => turn === this.uniting;
    const onShare = (share: number) => isCurrent() && this.change({ share });
    this.change({ share: 0 });
    try {
      const model = await this.uniter.work.unite(design, tolerance, this.asOne, proxy(onShare));
      if (!isCurrent()) return;
      // What is told of shares comes on a way of its own, maybe later than the answer.
      this.uniting += 1;
      this.change({ ...(model && { model, of: design }), share: null });
    } catch (error) {
      if (isCurrent()) this.change({ trouble: messageOf(error), share: null });
    }
  }
}

/** The meshes that are shown, with the new ones: the worker forgets what it does not show, and tells it anew. */
function withMeshes(known: ReadonlyMap<number, Mesh>, { parts, meshes }: ShownLayout): ReadonlyMap<number, Mesh> {
  const used = new Set(parts.flatMap(({ groups }) => groups.map(({ mesh }) => mesh)));
  const all = [...known, ...meshes.map(({ number, mesh }) => [number, mesh] as const)];
  return new Map(all.filter(([number]) => used.has(number)));
}
