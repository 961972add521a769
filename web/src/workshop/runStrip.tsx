import { useEffect, useRef, useState } from "react";
import { ReplayControls } from "@/desk/replay/replayControls";
import { usePlaying } from "@/desk/replay/usePlaying";
import { WordButton } from "@/desk/fields/wordButton";

interface RunStripProps {
  readonly words: Parameters<typeof ReplayControls>[0]["words"];
  /** How many steps there are. */
  readonly count: number;
  /** The step that is shown, counted from 0; null while the whole is. */
  readonly at: number | null;
  readonly readout: string;
  /** Steps a second, or in the time said, it can be played at. */
  readonly speeds: readonly number[];
  readonly usual: number;
  /** Seconds that a speed is counted over; 1 unless said. */
  readonly per?: number;
  /** Said while there is nothing to play. */
  readonly waiting: string;
  goTo: (at: number | null) => void;
}

/** The run of a device, step by step: buttons, a time line, a speed. */
export function RunStrip({ words, count, at, readout, speeds, usual, per = 1, waiting, goTo }: RunStripProps) {
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(usual);
  const current = useRef(at);
  useEffect(() => {
    current.current = at;
  });
  const last = Math.max(0, count - 1);
  usePlaying({
    playing,
    speed: speed / per,
    last,
    position: () => current.current,
    goTo,
    onEnd: () => setPlaying(false),
  });
  const play = () => {
    if (!playing && (at === null || at >= last)) {
      current.current = 0;
      goTo(0);
    }
    setPlaying(!playing);
  };
  if (count === 0) return <p className="self-center text-quiet">{waiting}</p>;
  return (
    <>
      <ReplayControls
        words={words}
        first={0}
        last={last}
        at={at ?? last}
        readout={readout}
        playing={playing}
        speed={speed}
        speeds={speeds}
        onPlay={play}
        onGo={(to) => {
          setPlaying(false);
          goTo(Math.max(0, Math.min(last, to)));
        }}
        onSpeed={setSpeed}
      >
        <output className="w-44 shrink-0 font-mono text-[12.5px] leading-tight text-quiet">{readout}</output>
      </ReplayControls>
      <WordButton disabled={at === null} onClick={() => goTo(null)}>
        show it whole
      </WordButton>
    </>
  );
}
