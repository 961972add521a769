import { goalOf, MILLIMETRES_PER, type Found } from "@twin-petal/core";
import { useMemo, useState } from "react";
import type { NumberAtHand } from "@/store/atHand";
import { rehearsed, useDesign, useDeskStore } from "@/store/deskStore";
import { LiveNumber } from "@/ui/liveNumber";
import { Sentence } from "@/ui/sentence";
import { WordButton } from "../../fields/wordButton";
import { useLivePictures } from "../../live/useLivePictures";
import { NeighbourPicture } from "../neighbourPicture";
import { goalWords } from "./goalWords";
import { useSolve } from "./useSolve";

const PICTURE = { width: 92, height: 66 } as const;

interface SolveRowProps {
  readonly atHand: NumberAtHand;
  /** What it is to be set for. */
  readonly kind: string;
  onClose: () => void;
}

/** Sets the number in hand so that something holds: what is asked for in words, what was found as pictures to pick from. */
export function SolveRow({ atHand, kind, onClose }: SolveRowProps) {
  const store = useDeskStore();
  const design = useDesign();
  const goal = goalOf(kind);
  const [wanted, setWanted] = useState(goal?.first ?? 0);
  const { progress, search, range } = useSolve(atHand, kind, wanted);
  const roots = search?.roots ?? [];
  const shown = roots.length > 0 || !search?.nearest ? roots : [search.nearest];
  const wishes = useMemo(
    () => shown.map(({ at }) => ({ key: String(at), design: rehearsed(store, () => atHand.set(at)) })),
    // The pictures are of what was found, not of what has been taken since.
    // oxlint-disable-next-line react/exhaustive-deps
    [search, store],
  );
  const pictures = useLivePictures(wishes, design, PICTURE);
  const take = ({ at }: Found) => ({
    key: String(at),
    words: atHand.show(at),
    current: Math.abs(at - atHand.value) < 1e-6,
    take: () => atHand.set(at),
  });
  return (
    <>
      <div className="flex w-[230px] shrink-0 flex-col justify-center px-3 text-[14.5px] leading-snug">
        <Sentence>
          <b>{atHand.label}</b> until <Asked kind={kind} wanted={wanted} onChange={setWanted} />
        </Sentence>
        <p className="-ml-1 leading-6">
          <WordButton onClick={onClose}>neighbours again</WordButton>
        </p>
      </div>
      <div className="flex min-w-0 flex-1 items-center gap-3 overflow-x-auto px-2" aria-live="polite">
        {progress !== null && (
          <p className="text-quiet">
            <progress aria-label="looking for it" value={progress} className="mr-2 w-24 accent-[var(--words)]" />
            looking for it …
          </p>
        )}
        {search && roots.length === 0 && range && (
          <p className="max-w-64 text-doubtful">
            △ With none from {atHand.show(range.from)} to {atHand.show(range.to)}
            {search.nearest ? "; this one comes nearest." : ": it cannot be measured here."}
          </p>
        )}
        <ul aria-label={`Values of ${atHand.label} found`} className="flex min-w-0 flex-1 gap-1.5">
          {shown.map((found) => (
            <NeighbourPicture
              key={found.at}
              neighbour={take(found)}
              picture={pictures.get(String(found.at))}
              {...PICTURE}
            />
          ))}
        </ul>
      </div>
    </>
  );
}

interface AskedProps {
  readonly kind: string;
  /** Millimetres where it is a length. */
  readonly wanted: number;
  onChange: (wanted: number) => void;
}

/** What is asked for, its figure live. */
function Asked({ kind, wanted, onChange }: AskedProps) {
  const { unit } = useDesign().sheet;
  const goal = goalOf(kind);
  const { before, after, figure } = goalWords(kind);
  const isLength = goal?.wanted === "length";
  const size = isLength ? MILLIMETRES_PER[unit] : 1;
  if (figure === "") return before;
  return (
    <>
      {before}{" "}
      <LiveNumber
        label={figure}
        value={Number((wanted / size).toFixed(4))}
        text={String(Number((wanted / size).toFixed(4)))}
        unit={isLength ? ` ${unit}` : ""}
        step={isLength ? 1 : 0.01}
        min={kind === "gap" || kind === "margin" ? -1e6 : 0}
        max={isLength ? 1e6 : 1}
        whole={false}
        pullable
        onChange={(next) => onChange(next * size)}
        onType={(text) => {
          const typed = Number(text);
          if (!Number.isFinite(typed)) return { trouble: "must be a number" };
          onChange(typed * size);
          return { ok: true };
        }}
        onDefault={() => onChange(goal?.first ?? 0)}
      />{" "}
      {after}
    </>
  );
}
