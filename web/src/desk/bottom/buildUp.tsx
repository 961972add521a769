import { useEffect, useState } from "react";
import { Pause, Play, SkipBack, StepBack, StepForward } from "lucide-react";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { IconButton } from "@/ui/button";
import { usePicture } from "../stage/pictureContext";
import { buildStages, stageWords } from "./buildStages";

const SPEEDS = [1, 4, 12, 60, 400] as const;

/** Replays how the rules make the chosen part, copy by copy or rule by rule. */
export function BuildUp() {
  const store = useDeskStore();
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const built = useDesk((state) => state.hand.built);
  const { report } = usePicture();
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<number>(4);
  const count = (chosen && report?.copies.get(chosen)) || 0;
  const rounds = report?.chosen?.id === chosen ? (report?.chosen?.rounds ?? []) : [];
  const rules = design.parts.find(({ id }) => id === chosen)?.rules ?? [];
  const named = rounds.map(({ rule, copies }) => ({ kind: rules[rule]?.kind ?? "rule", copies }));
  const stages = buildStages(named, count);
  const shown = built ?? count;

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
      const { built: at } = store.getState().hand;
      const next = Math.min(count, (at ?? count) + whole);
      if (whole > 0) store.getState().setHand({ built: next });
      if (next >= count) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, count, store]);

  const go = (to: number) => {
    setPlaying(false);
    store.getState().setHand({ built: Math.min(count, Math.max(1, to)) });
  };
  const play = () => {
    if (!playing && shown >= count) store.getState().setHand({ built: 1 });
    setPlaying(!playing);
  };
  if (count === 0) return <p className="grid h-full place-content-center text-quiet">There are no copies to replay.</p>;
  return (
    <div className="flex h-full flex-col justify-center gap-1.5 px-4">
      <div className="flex items-center gap-3">
        <div className="flex">
          <IconButton label="Only the source" onClick={() => go(1)}>
            <SkipBack size={16} />
          </IconButton>
          <IconButton label="One copy back" onClick={() => go(shown - 1)}>
            <StepBack size={16} />
          </IconButton>
          <IconButton label={playing ? "Pause the build-up" : "Play the build-up"} onClick={play}>
            {playing ? <Pause size={18} /> : <Play size={18} />}
          </IconButton>
          <IconButton label="One copy on" onClick={() => go(shown + 1)}>
            <StepForward size={16} />
          </IconButton>
        </div>
        <input
          type="range"
          aria-label="Copies built up"
          aria-valuetext={stageWords(named, shown, count)}
          min={1}
          max={count}
          value={shown}
          onChange={(event) => go(Number(event.target.value))}
          className="min-w-0 flex-1 accent-[var(--live)]"
        />
        <label className="shrink-0 text-[15px] text-quiet">
          copies a second{" "}
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
