import type { ReactNode } from "react";
import { Pause, Play, SkipBack, StepBack, StepForward } from "lucide-react";
import { IconButton } from "@/ui/button";

interface ReplayControlsProps {
  readonly words: {
    readonly start: string;
    readonly back: string;
    readonly on: string;
    readonly play: string;
    readonly pause: string;
    readonly slider: string;
    readonly speed: string;
  };
  readonly first: number;
  readonly last: number;
  readonly at: number;
  /** The place in words, for those who cannot see it. */
  readonly readout?: string;
  readonly playing: boolean;
  readonly speed: number;
  readonly speeds: readonly number[];
  /** Told between the time line and the speed. */
  readonly children?: ReactNode;
  onPlay: () => void;
  onGo: (to: number) => void;
  onSpeed: (speed: number) => void;
}

/** Buttons, a time line and a speed. */
export function ReplayControls(props: ReplayControlsProps) {
  const { words, first, last, at, readout: notes, playing, speed, speeds, children, onPlay, onGo, onSpeed } = props;
  return (
    <>
      <div className="flex">
        <IconButton label={words.start} onClick={() => onGo(first)}>
          <SkipBack size={16} />
        </IconButton>
        <IconButton label={words.back} onClick={() => onGo(at - 1)}>
          <StepBack size={16} />
        </IconButton>
        <IconButton label={playing ? words.pause : words.play} onClick={onPlay}>
          {playing ? <Pause size={18} /> : <Play size={18} />}
        </IconButton>
        <IconButton label={words.on} onClick={() => onGo(at + 1)}>
          <StepForward size={16} />
        </IconButton>
      </div>
      <input
        type="range"
        aria-label={words.slider}
        aria-valuetext={notes}
        min={first}
        max={last}
        value={at}
        onChange={(event) => onGo(Number(event.target.value))}
        className="min-w-0 flex-1 accent-[var(--live)]"
      />
      {children}
      <label className="shrink-0 text-[15px] text-quiet">
        {words.speed}{" "}
        <select
          value={speed}
          onChange={(event) => onSpeed(Number(event.target.value))}
          className="h-8 rounded-md border border-hairline bg-surface px-1 text-words"
        >
          {speeds.map((pace) => (
            <option key={pace}>{pace}</option>
          ))}
        </select>
      </label>
    </>
  );
}
