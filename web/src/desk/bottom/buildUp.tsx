import { useState } from "react";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { ReplayControls } from "../replay/replayControls";
import { usePlaying } from "../replay/usePlaying";
import { usePicture } from "../stage/pictureContext";
import { FilmPanel } from "./filmPanel";
import { buildStages, stageWords } from "./buildStages";

const SPEEDS = [1, 4, 12, 60, 400] as const;
const WORDS = {
  start: "Only the source",
  back: "One copy back",
  on: "One copy on",
  play: "Play the build-up",
  pause: "Pause the build-up",
  slider: "Copies built up",
  speed: "copies a second",
} as const;

/** Replays how the rules make the chosen part, copy by copy or rule by rule. */
export function BuildUp() {
  const store = useDeskStore();
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const built = useDesk((state) => state.hand.built);
  const { report } = usePicture("report");
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<number>(4);
  const count = (chosen && report?.copies.get(chosen)) || 0;
  const rounds = report?.chosen?.id === chosen ? (report?.chosen?.rounds ?? []) : [];
  const rules = design.parts.find(({ id }) => id === chosen)?.rules ?? [];
  const named = rounds.map(({ rule, copies }) => ({ kind: rules[rule]?.kind ?? "rule", copies }));
  const stages = buildStages(named, count);
  const shown = built ?? count;
  const setBuilt = (to: number) => store.getState().setHand({ built: to });
  usePlaying({
    playing,
    speed,
    last: count,
    position: () => store.getState().hand.built ?? count,
    goTo: setBuilt,
    onEnd: () => setPlaying(false),
  });

  const go = (to: number) => {
    setPlaying(false);
    setBuilt(Math.min(count, Math.max(1, to)));
  };
  const play = () => {
    if (!playing && shown >= count) setBuilt(1);
    setPlaying(!playing);
  };
  if (count === 0) return <p className="grid h-full place-content-center text-quiet">There are no copies to replay.</p>;
  return (
    <div className="flex h-full flex-col justify-center gap-1.5 px-4">
      <div className="flex items-center gap-3">
        <ReplayControls
          words={WORDS}
          first={1}
          last={count}
          at={shown}
          readout={stageWords(named, shown, count)}
          playing={playing}
          speed={speed}
          speeds={SPEEDS}
          onPlay={play}
          onGo={go}
          onSpeed={setSpeed}
        />
        <FilmPanel />
      </div>
      <div className="flex min-w-0 items-center gap-2 text-[14.5px]">
        <p className="shrink-0 font-mono text-[13px]" data-testid="build-up-words">
          {stageWords(named, shown, count)}
        </p>
        <p className="ml-auto flex min-w-0 flex-wrap justify-end gap-1">
          {stages.map((stage, index) => (
            <button
              key={index}
              type="button"
              aria-pressed={shown === stage.copies}
              onClick={() => go(stage.copies)}
              className="rounded border border-hairline px-1.5 text-quiet hover:border-quiet hover:text-words aria-pressed:border-words aria-pressed:text-words"
            >
              {stage.words}
            </button>
          ))}
        </p>
      </div>
    </div>
  );
}
