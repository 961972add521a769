import { useCallback, useEffect, useRef, useState } from "react";
import { proxy, type Remote } from "comlink";
import type { BridgePlace, Design } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import type { CutWork, ShownCut } from "@/workers/cutWork";
import { startCutWork } from "@/workers/start";

/** The hand rests this long before a cut is computed, milliseconds. */
const REST = 200;

/** A design's cut, live. */
export interface Cut {
  /** The last that was computed; it stays in view while the next one is. */
  readonly shown: ShownCut | null;
  /** Whether it is of the design as it is. */
  readonly isCurrent: boolean;
  /** The share of the order that is found, 0…1; null while nothing is computed. */
  readonly share: number | null;
  /** What went wrong, in words. */
  readonly trouble: string | null;
  /** Whether computing was stopped by hand. */
  readonly isStopped: boolean;
  stop: () => void;
  /** Where bridges would hold the islands. */
  bridgesForIslands: () => Promise<readonly BridgePlace[]>;
}

interface CutState extends Pick<Cut, "shown" | "share" | "trouble" | "isStopped"> {
  readonly of: Design | null;
}

const NOTHING: CutState = { shown: null, share: null, trouble: null, isStopped: false, of: null };

/** Computes a design's cut in a worker whenever the hand rests; a newer design ends the work on an older one. */
export function useCut(design: Design): Cut {
  const [state, setState] = useState(NOTHING);
  const worker = useRef<{ work: Remote<CutWork>; end: () => void } | null>(null);
  const end = useCallback(() => {
    worker.current?.end();
    worker.current = null;
  }, []);
  useEffect(() => {
    let isOver = false;
    const begin = async () => {
      const own = (worker.current ??= startCutWork());
      setState((known) => ({ ...known, share: 0, isStopped: false }));
      const onShare = (share: number) =>
        isOver || setState((known) => (known.share === null ? known : { ...known, share }));
      try {
        const shown = await own.work.cut(design, proxy(onShare));
        if (!isOver) setState({ ...NOTHING, shown, of: design });
      } catch (error) {
        if (!isOver) setState((known) => ({ ...known, trouble: messageOf(error), share: null }));
      }
    };
    let isBegun = false;
    const timer = window.setTimeout(() => {
      isBegun = true;
      void begin().then(() => (isBegun = false));
    }, REST);
    return () => {
      isOver = true;
      window.clearTimeout(timer);
      if (isBegun) end();
    };
  }, [design, end]);
  useEffect(() => end, [end]);
  const stop = useCallback(() => {
    end();
    setState((known) => ({ ...known, share: null, isStopped: true }));
  }, [end]);
  const bridgesForIslands = useCallback(async () => (await worker.current?.work.bridgesForIslands()) ?? [], []);
  return { ...state, isCurrent: state.of === design, stop, bridgesForIslands };
}
