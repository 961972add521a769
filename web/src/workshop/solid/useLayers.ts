import { unwaited } from "@/api/unwaited";
import { useCallback, useEffect, useState } from "react";
import { proxy } from "comlink";
import type { Design } from "@twin-petal/core";
import type { Solids } from "@/solid/useSolids";
import type { LaidLayer } from "@/workers/solidWork";

/** A solid's layers, and where its run is. */
export interface Layers {
  /** How many there are; 0 while it is not known. */
  readonly count: number;
  /** The layer that is shown, counted from 0; null while the whole is. */
  readonly at: number | null;
  readonly layer: LaidLayer | null;
  /** What is laid in all of them, millimetres, or the share of it that is known. */
  readonly laid: { readonly length: number } | { readonly share: number };
  goTo: (at: number | null) => void;
}

interface LayersState {
  readonly of: unknown;
  readonly count: number;
  readonly laid: Layers["laid"];
}

const NOTHING: LayersState = { of: null, count: 0, laid: { share: 0 } };

/** The layers of a model, sliced in its worker as they are asked for. */
export function useLayers(design: Design, { model, united }: Solids): Layers {
  const [state, setState] = useState(NOTHING);
  const [at, goTo] = useState<number | null>(null);
  const [layer, setLayer] = useState<LaidLayer | null>(null);
  const isThere = model !== null && model.bodies.length > 0;
  useEffect(() => {
    if (!isThere) return;
    let isOver = false;
    const work = united();
    const begin = async () => {
      const count = (await work?.openLayers(design)) ?? 0;
      if (isOver) return;
      setState({ of: model, count, laid: { share: 0 } });
      let isLaid = false;
      const onShare = (share: number) => isOver || isLaid || setState((known) => ({ ...known, laid: { share } }));
      const length = (await work?.lengthOfAll(proxy(onShare))) ?? null;
      // What is told of shares comes on a way of its own, maybe later than the answer.
      isLaid = true;
      if (!isOver && length !== null) setState((known) => ({ ...known, laid: { length } }));
    };
    unwaited(begin());
    return () => {
      isOver = true;
    };
    // What is sliced goes by the model: a design that made none is not sliced.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [model, isThere, united]);
  const isOwn = state.of === model;
  const count = isOwn ? state.count : 0;
  const shown = at === null || count === 0 ? null : Math.min(at, count - 1);
  useEffect(() => {
    if (shown === null) return;
    let isOver = false;
    unwaited(
      united()
        ?.layer(shown)
        .then((next) => !isOver && setLayer(next)),
    );
    return () => {
      isOver = true;
    };
  }, [shown, united, state.of]);
  const go = useCallback((next: number | null) => goTo(next === null ? null : Math.max(0, next)), []);
  return {
    count,
    at: shown,
    layer: shown === null ? null : layer,
    laid: isOwn ? state.laid : { share: 0 },
    goTo: go,
  };
}
