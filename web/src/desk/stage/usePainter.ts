import { unwaited } from "@/api/unwaited";
import type { Remote } from "comlink";
import { useCallback, useEffect, useState } from "react";
import type { Design } from "@twin-petal/core";
import type { Painter } from "@/workers/painter";
import { startPainter } from "@/workers/start";
import type { Freshness } from "./freshness";

/** A design under which this many painters have ended is not tried again. */
const MOST_TRIES = 2;

/** Under which design painters have ended, and how often. */
class Endings {
  private asked: Design | null = null;
  private under: Design | null = null;
  private times = 0;

  /** A painter is asked for a design. */
  ask(design: Design): void {
    this.asked = design;
  }

  /** It has ended; gives the design that is not tried again, null where it is. */
  note(): Design | null {
    this.times = this.under === this.asked ? this.times + 1 : 1;
    this.under = this.asked;
    return this.times < MOST_TRIES ? null : this.under;
  }

  isTried(design: Design): boolean {
    return this.under !== design || this.times < MOST_TRIES;
  }
}

/** Who paints the picture. */
interface PainterAtHand {
  readonly painter: Remote<Painter>;
  readonly endings: Endings;
  /** The design that is not tried again, since painters have ended under it; null for none. */
  readonly failing: Design | null;
  /** Ends the painter in the middle of its work and starts another. */
  readonly restart: () => void;
}

/** A painter; another takes its place when it ends by itself, for it was given more than the browser has. */
export function usePainter(currency: Freshness): PainterAtHand {
  const [{ work: painter, ended, end }, setPainter] = useState(startPainter);
  const [endings] = useState(() => new Endings());
  const [failing, setFailing] = useState<Design | null>(null);
  const restart = useCallback(() => setPainter(startPainter()), []);
  useEffect(() => {
    unwaited(
      ended.then(() => {
        // What was painted last stays until another has something to show.
        currency.set(false);
        setFailing(endings.note());
        restart();
      }),
    );
    return end;
  }, [ended, end, currency, endings, restart]);
  return { painter, endings, failing, restart };
}
