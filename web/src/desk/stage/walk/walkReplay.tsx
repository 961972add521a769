import { useState } from "react";
import { X } from "lucide-react";
import { apply, type Matrix, type TakenStep } from "@twin-petal/core";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { IconButton } from "@/ui/button";
import { ReplayControls } from "../../replay/replayControls";
import { usePlaying } from "../../replay/usePlaying";
import { useWalk } from "./useWalk";

const SPEEDS = [2, 8, 30, 120, 500] as const;
const WORDS = {
  start: "To the start",
  back: "One step back",
  on: "One step on",
  play: "Play",
  pause: "Pause",
  slider: "Step of the walk",
  speed: "steps a second",
} as const;

/** Time line of a walk's replay, along the bottom of the desk: step by step or at a chosen speed. */
export function WalkReplay() {
  const walk = useWalk();
  const walked = useDesk((state) => state.hand.walked);
  const store = useDeskStore();
  const [playing, setPlaying] = useState(true);
  const [speed, setSpeed] = useState<number>(8);
  const last = (walk?.count ?? 1) - 1;
  const setWalked = (to: number | null) => store.getState().setHand({ walked: to });
  usePlaying({
    playing: playing && walked !== null && walk !== null,
    speed,
    last,
    position: () => store.getState().hand.walked,
    goTo: setWalked,
    onEnd: () => setPlaying(false),
  });
  if (walked === null || !walk) return null;
  const go = (to: number) => {
    setPlaying(false);
    setWalked(Math.min(last, Math.max(0, to)));
  };
  const play = () => {
    if (!playing && walked >= last) setWalked(0);
    setPlaying(!playing);
  };
  const { step } = walk;
  return (
    <section
      aria-label="Replay of the walk"
      className="flex h-[72px] shrink-0 items-center gap-3 border-t border-hairline bg-surface px-4"
    >
      <ReplayControls
        words={WORDS}
        first={0}
        last={last}
        at={Math.min(walked, last)}
        playing={playing}
        speed={speed}
        speeds={SPEEDS}
        onPlay={play}
        onGo={go}
        onSpeed={setSpeed}
      >
        <p className="w-72 font-mono text-[13px] leading-snug" aria-live="off" data-testid="walk-counts">
          {Math.min(walked, last) + 1} of {walk.count.toLocaleString("en")}
          <span className="block text-quiet">{step ? stepWords(step) : ""}</span>
        </p>
      </ReplayControls>
      <IconButton label="Stop watching" onClick={() => setWalked(null)}>
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
