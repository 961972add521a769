import { useMemo, useRef, useState, type KeyboardEvent } from "react";
import { nameNumber } from "@/store/edits/nameNumber";
import type { AtHand, NumberAtHand } from "@/store/atHand";
import { rehearsed, useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { LiveNumber } from "@/ui/liveNumber";
import { Sentence } from "@/ui/sentence";
import { useRested } from "@/ui/useRested";
import { WordButton } from "../fields/wordButton";
import { useLivePictures } from "../live/useLivePictures";
import { NeighbourPicture } from "./neighbourPicture";
import { neighboursOf, stepFor } from "./neighbourValues";
import { GoalMenu } from "./solve/goalMenu";
import { SolveRow } from "./solve/solveRow";
import { Surprise } from "./surprise";
import { TwoNumbers } from "./twoNumbers";

const COUNTS = [3, 5, 7, 9] as const;
/** The hand rests this long before neighbours are worked out anew, milliseconds. */
const REST = 120;
const PICTURE = { width: 92, height: 66 } as const;

/** Live pictures of the ornament at nearby values of the number last touched, or at all values of a choice. */
export function Neighbours() {
  const atHand = useDesk((state) => state.atHand);
  const [first, setFirst] = useState<NumberAtHand | null>(null);
  if (!atHand) {
    return (
      <div className="flex h-full items-center gap-4 px-4">
        <p className="text-quiet">Touch a number or a choice in the words on the left: its neighbours show here.</p>
        <Surprise />
      </div>
    );
  }
  return (
    <div className="relative flex h-full items-stretch">
      <Row key={atHand.id} atHand={atHand} first={first} onFirst={setFirst} />
      {first && atHand.kind === "number" && atHand.id !== first.id && (
        <TwoNumbers down={first} across={atHand} onClose={() => setFirst(null)} />
      )}
    </div>
  );
}

interface RowProps {
  readonly atHand: AtHand;
  /** A number that waits for a second one. */
  readonly first: NumberAtHand | null;
  onFirst: (first: NumberAtHand | null) => void;
}

function Row(props: RowProps) {
  const [goal, setGoal] = useState<string | null>(null);
  const { atHand } = props;
  if (atHand.kind === "number" && goal !== null) {
    return <SolveRow atHand={atHand} kind={goal} onClose={() => setGoal(null)} />;
  }
  return <NeighbourRow {...props} onGoal={setGoal} />;
}

function NeighbourRow({ atHand, first, onFirst, onGoal }: RowProps & { onGoal: (kind: string) => void }) {
  const store = useDeskStore();
  const design = useDesign();
  const [count, setCount] = useState<number>(7);
  const [ownStep, setStep] = useState<number | null>(null);
  const isNumber = atHand.kind === "number";
  const step = isNumber ? (ownStep ?? stepFor(atHand)) : 1;
  const shown = neighboursOf(atHand, count, step);
  const rested = useRested(
    useMemo(() => ({ atHand, design, count, step }), [atHand, design, count, step]),
    REST,
  );
  const wanted = useMemo(
    () =>
      rested.atHand.id === atHand.id
        ? neighboursOf(rested.atHand, rested.count, rested.step).map(({ key, take }) => ({
            key,
            design: rehearsed(store, take),
          }))
        : [],
    [rested, store, atHand.id],
  );
  const pictures = useLivePictures(wanted, rested.design, PICTURE);
  const list = useRef<HTMLUListElement>(null);
  return (
    <>
      <div className="flex w-[196px] shrink-0 flex-col justify-center px-3 text-[14.5px] leading-snug">
        {isNumber ? (
          <>
            <Sentence>
              <b>{atHand.label}</b> by{" "}
              <LiveNumber
                label="step of the neighbours"
                value={step}
                text={String(step)}
                step={atHand.step}
                min={atHand.whole ? 1 : atHand.step / 100}
                max={1e6}
                whole={atHand.whole}
                pullable
                onChange={setStep}
                onType={(text) => {
                  const typed = Number(text);
                  if (!(typed > 0)) return { trouble: "must be a number above 0" };
                  setStep(typed);
                  return { ok: true };
                }}
                onDefault={() => setStep(null)}
              />
              ,{" "}
              <label>
                <span className="sr-only">How many neighbours</span>
                <select
                  value={count}
                  onChange={(event) => setCount(Number(event.target.value))}
                  className="rounded border border-hairline bg-surface"
                >
                  {COUNTS.map((choice) => (
                    <option key={choice}>{choice}</option>
                  ))}
                </select>{" "}
                pictures
              </label>
            </Sentence>
            <p className="-ml-1 leading-6">
              {atHand.nameable && <NameIt atHand={atHand} />}
              <GoalMenu onGoal={onGoal} />
              {first ? (
                <WordButton onClick={() => onFirst(null)}>
                  {first.id === atHand.id ? "touch a second …" : "one number"}
                </WordButton>
              ) : (
                <WordButton title="A sheet of pictures over two numbers" onClick={() => onFirst(atHand)}>
                  with another
                </WordButton>
              )}
              <Surprise />
            </p>
          </>
        ) : (
          <>
            <p>
              <b>{atHand.label}</b>, all its values
            </p>
            <p className="-ml-1 leading-6">
              <Surprise />
            </p>
          </>
        )}
      </div>
      <ul
        ref={list}
        aria-label={`Neighbours of ${atHand.label}`}
        onKeyDown={(event) => moveAlong(event, list.current)}
        className="flex min-w-0 flex-1 items-center gap-1.5 overflow-x-auto px-2"
      >
        {shown.map((neighbour) => (
          <NeighbourPicture
            key={neighbour.key}
            neighbour={neighbour}
            picture={pictures.get(neighbour.key)}
            {...PICTURE}
          />
        ))}
      </ul>
    </>
  );
}

/** Makes a named number of it, used in its place at once. */
function NameIt({ atHand }: { atHand: NumberAtHand }) {
  const store = useDeskStore();
  return (
    <WordButton
      title="Give this number a name, so that formulas can use it"
      onClick={() => store.getState().edit(nameNumber(store, atHand))}
    >
      name it
    </WordButton>
  );
}

/** Arrow keys go from picture to picture. */
function moveAlong(event: KeyboardEvent, list: HTMLElement | null): void {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (by === undefined || !list || !(event.target instanceof HTMLButtonElement)) return;
  event.preventDefault();
  event.stopPropagation();
  const buttons = [...list.querySelectorAll("button")];
  buttons[buttons.indexOf(event.target) + by]?.focus();
}
