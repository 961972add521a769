import { useEffect } from "react";

interface Played {
  readonly playing: boolean;
  /** Steps a second. */
  readonly speed: number;
  readonly last: number;
  /** Where it is at this moment; null when it is no longer replayed. */
  position: () => number | null;
  goTo: (position: number) => void;
  onEnd: () => void;
}

/** Goes on step by step while it plays, frame after frame, and ends at the last one. */
export function usePlaying({ playing, speed, last, position, goTo, onEnd }: Played): void {
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let before = performance.now();
    let owed = 0;
    const tick = (now: number) => {
      owed += ((now - before) / 1000) * speed;
      before = now;
      const whole = Math.floor(owed);
      owed -= whole;
      const at = position();
      if (at === null) return;
      const next = Math.min(last, at + whole);
      if (next !== at) goTo(next);
      if (next >= last) onEnd();
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
    // What it asks and tells goes through the store: newer functions do the same.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [playing, speed, last]);
}
