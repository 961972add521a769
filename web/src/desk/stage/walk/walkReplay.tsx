import { useEffect, useState } from "react";
import { Pause, Play, SkipBack, StepBack, StepForward, X } from "lucide-react";
import { apply, type Matrix, type TakenStep } from "@twin-petal/core";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { IconButton } from "@/ui/button";
import { useWalk } from "./useWalk";

const SPEEDS = [2, 8, 30, 120, 500] as const;

/** Time line of a walk's replay, along the bottom of the desk: step by step or at a chosen speed. */
export function WalkReplay() {
  const walk = useWalk();
  const walked = useDesk((state) => state.hand.walked);
  const store = useDeskStore();
  const [playing, setPlaying] = useState(true);
  const [speed, setSpeed] = useState<number>(8);
  const last = (walk?.count ?? 1) - 1;
  const shown = walked !== null && walk !== null;
  useEffect(() => {
    if (!shown || !playing) return;
    let frame = 0;
    let before = performance.now();
    let owed = 0;
    const tick = (now: number) => {
      owed += ((now - before) / 1000) * speed;
      before = now;
      const whole = Math.floor(owed);
      owed -= whole;
      const at = store.getState().hand.walked;
      if (at === null) return;
      const next = Math.min(last, at + whole);
      if (next !== at) store.getState().setHand({ walked: next });
      if (next >= last) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [shown, playing, speed, last, store]);
  if (walked === null || !walk) return null;
  const go = (to: number) => {
    setPlaying(false);
    store.getState().setHand({ walked: Math.min(last, Math.max(0, to)) });
  };
  const { step } = walk;
  return (
    <section
      aria-label="Replay of the walk"
      className="flex h-[72px] shrink-0 items-center gap-3 border-t border-hairline bg-surface px-4"
    >
      <div className="flex">
        <IconButton label="To the start" onClick={() => go(0)}>
          <SkipBack size={16} />
        </IconButton>
        <IconButton label="One step back" onClick={() => go(walked - 1)}>
          <StepBack size={16} />
        </IconButton>
        <IconButton
          label={playing ? "Pause" : "Play"}
          onClick={() => {
            if (!playing && walked >= last) store.getState().setHand({ walked: 0 });
            setPlaying(!playing);
          }}
        >
          {playing ? <Pause size={18} /> : <Play size={18} />}
        </IconButton>
        <IconButton label="One step on" onClick={() => go(walked + 1)}>
          <StepForward size={16} />
        </IconButton>
      </div>
      <input
        type="range"
        aria-label="Step of the walk"
        min={0}
        max={last}
        value={Math.min(walked, last)}
        onChange={(event) => go(Number(event.target.value))}
        className="min-w-0 flex-1 accent-[var(--live)]"
      />
      <p className="w-72 font-mono text-[13px] leading-snug" aria-live="off" data-testid="walk-counts">
        {Math.min(walked, last) + 1} of {walk.count.toLocaleString("en")}
        <span className="block text-quiet">{step ? stepWords(step) : ""}</span>
      </p>
      <label className="text-[15px] text-quiet">
        steps a second{" "}
        <select
          value={speed}
          onChange={(event) => setSpeed(Number(event.target.value))}
          className="h-8 rounded-md border border-hairline bg-surface px-1 text-words"
        >
          {SPEEDS.map((pace) => (
            <option key={pace}>{pace}</option>
          ))}
        </select>
      </label>
      <IconButton label="Stop watching" onClick={() => store.getState().setHand({ walked: null })}>
        <X size={16} />
      </IconButton>
    </section>
  );
}

/** The step and the count of every level it stands in: "go · 2 of 6 · 1 of 4". */
function stepWords({ kind, rounds }: TakenStep): string {
  return [kind, ...rounds.map(({ round, times }) => `${round} of ${times}`)].join(" · ");
}

/** What has been walked so far, over the source. */
export function WalkedPath({ toScreen }: { toScreen: Matrix }) {
  const walk = useWalk();
  const walked = useDesk((state) => state.hand.walked);
  if (!walk?.step || walked === null) return null;
  const done = walk.steps.slice(0, walked + 1);
  const d = done
    .filter(({ kind }) => kind !== "turn")
    .map(({ kind, from, to }) => {
      const [a, b] = [apply(toScreen, from), apply(toScreen, to)];
      return kind === "go" ? `M${a.x} ${a.y}L${b.x} ${b.y}` : "";
    })
    .join("");
  const at = apply(toScreen, walk.step.to);
  const turn = walk.step.heading + (Math.atan2(toScreen[1], toScreen[0]) * 180) / Math.PI;
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      <path d={d} stroke="#FFFFFF" strokeWidth={6} />
      <path d={d} stroke="var(--live)" strokeWidth={3} />
      <path
        d="M0-11 6 5 0 2-6 5Z"
        transform={`translate(${at.x} ${at.y}) rotate(${turn})`}
        fill="#2B2140"
        stroke="#FFFFFF"
        strokeWidth={1.5}
      />
    </g>
  );
}
