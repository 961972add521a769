import { unwaited } from "@/api/unwaited";
import { useCallback, useEffect, useRef, useState } from "react";
import { proxy } from "comlink";
import type { Design } from "@twin-petal/core";
import { messageOf } from "@/api/http";

/** The hand rests this long before anything is computed, milliseconds. */
const REST = 200;

/** Something that is computed of a design, live. */
export interface Work<W, S> {
  /** The last that was computed; it stays in view while the next one is. */
  readonly shown: S | null;
  /** Whether it is of the design as it is. */
  readonly isCurrent: boolean;
  /** The share that is done, 0…1; null while nothing is computed. */
  readonly share: number | null;
  /** What went wrong, in words. */
  readonly trouble: string | null;
  /** Whether computing was stopped by hand. */
  readonly isStopped: boolean;
  stop: () => void;
  /** The worker that computes it, once it is started. */
  worker: () => W | null;
}

interface WorkState<S> extends Pick<Work<never, S>, "shown" | "share" | "trouble" | "isStopped"> {
  readonly of: Design | null;
}

interface Started<W> {
  readonly work: W;
  end: () => void;
}

type Compute<W, S> = (work: W, design: Design, onShare: (share: number) => void) => Promise<S>;

/**
 * Computes something of a design in a worker whenever the hand rests; a newer design ends the work on an older one.
 * `start` and `compute` are the same functions each time.
 */
export function useWork<W, S>(design: Design, start: () => Started<W>, compute: Compute<W, S>): Work<W, S> {
  const [state, setState] = useState<WorkState<S>>({
    ...{ shown: null, share: null, trouble: null, isStopped: false, of: null },
  });
  const worker = useRef<Started<W> | null>(null);
  const end = useCallback(() => {
    worker.current?.end();
    worker.current = null;
  }, []);
  useEffect(() => {
    let isOver = false;
    const begin = async () => {
      const own = (worker.current ??= start());
      setState((known) => ({ ...known, share: 0, isStopped: false }));
      const onShare = (share: number) =>
        isOver || setState((known) => (known.share === null ? known : { ...known, share }));
      try {
        const shown = await compute(own.work, design, proxy(onShare));
        if (!isOver) setState({ shown, share: null, trouble: null, isStopped: false, of: design });
      } catch (error) {
        if (!isOver) setState((known) => ({ ...known, trouble: messageOf(error), share: null }));
      }
    };
    let isBegun = false;
    const timer = window.setTimeout(() => {
      isBegun = true;
      unwaited(begin().then(() => (isBegun = false)));
    }, REST);
    return () => {
      isOver = true;
      window.clearTimeout(timer);
      if (isBegun) end();
    };
  }, [design, start, compute, end]);
  useEffect(() => end, [end]);
  const stop = useCallback(() => {
    end();
    setState((known) => ({ ...known, share: null, isStopped: true }));
  }, [end]);
  const current = useCallback(() => worker.current?.work ?? null, []);
  return { ...state, isCurrent: state.of === design, stop, worker: current };
}
