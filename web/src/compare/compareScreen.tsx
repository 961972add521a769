import { useState, type KeyboardEvent } from "react";
import { Plus, X } from "lucide-react";
import { SavePanel } from "@/desk/strips/savePanel";
import { UndoRedo } from "@/desk/strips/undoRedo";
import { useDesk } from "@/store/deskStore";
import { Button, IconButton } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { BackToDesk } from "@/ui/backToDesk";
import { useDrag } from "@/ui/useDrag";
import { Differences } from "./differencesPanel";
import { SheetView, WHOLE, type SheetsView } from "./sheetView";
import { StatePicture } from "./statePicture";
import { PRESENT, useOfferedStates, useStateOf, type OfferedState } from "./useStates";

const MOST = 4;

/** Two to four states of a design beside each other, or two behind a movable edge; what differs, and taking it over. */
export default function CompareScreen() {
  const id = useDesk((state) => state.id);
  const name = useDesk((state) => state.history.design.name);
  const [now] = useState(() => Date.now());
  const offered = useOfferedStates(id, now);
  const [picked, setPicked] = useState<readonly number[] | null>(null);
  const [isLaidOver, setLaidOver] = useState(false);
  const [view, setView] = useState(WHOLE);
  const [lit, setLit] = useState<string | null>(null);
  const first = offered[1]?.revision;
  const shown = picked ?? (first === undefined ? [PRESENT] : [PRESENT, first]);
  const other = shown.find((revision) => revision !== PRESENT) ?? PRESENT;
  const wordsOf = (revision: number) =>
    offered.find((state) => state.revision === revision)?.words ?? "an earlier save";
  const free = offered.find(({ revision }) => !shown.includes(revision));
  const pane = { id, offered, view, onView: setView, lit };
  return (
    <div className="flex h-full min-w-[1024px] flex-col">
      <header className="flex h-11 shrink-0 items-center gap-2 border-b border-hairline bg-surface px-3">
        <BackToDesk id={id} />
        <h1 className="text-[18px] font-bold">{name}, compared</h1>
        <SavePanel />
        <UndoRedo />
        <span className="ml-auto" />
        <Button aria-pressed={isLaidOver} disabled={shown.length !== 2} onClick={() => setLaidOver(!isLaidOver)}>
          {isLaidOver ? "Side by side" : "One over the other"}
        </Button>
        <Button
          disabled={!free || shown.length >= MOST || isLaidOver}
          onClick={() => free && setPicked([...shown, free.revision])}
        >
          <Plus size={16} /> Another state
        </Button>
      </header>
      <main className="flex min-h-0 flex-1">
        {offered.length < 2 ? (
          <p className="grid flex-1 place-content-center text-quiet">
            There is one state of this design yet: keep takes on the desk, or change something.
          </p>
        ) : isLaidOver && shown.length === 2 ? (
          <LaidOver {...pane} revisions={[shown[0] ?? PRESENT, shown[1] ?? PRESENT]} wordsOf={wordsOf} />
        ) : (
          shown.map((revision, index) => (
            <Pane
              key={index}
              {...pane}
              revision={revision}
              words={wordsOf(revision)}
              onPick={(next) => setPicked(shown.map((known, at) => (at === index ? next : known)))}
              {...(shown.length > 2 && { onClose: () => setPicked(shown.filter((_, at) => at !== index)) })}
            />
          ))
        )}
        <aside
          aria-label="What differs"
          className="flex w-80 shrink-0 flex-col gap-2 overflow-y-auto border-l border-hairline bg-surface px-4 py-3"
        >
          <DifferencesOf id={id} revision={other} words={wordsOf(other)} onLight={setLit} />
        </aside>
      </main>
    </div>
  );
}

interface PaneProps {
  readonly id: string;
  readonly offered: readonly OfferedState[];
  readonly revision: number;
  readonly words: string;
  readonly view: SheetsView;
  readonly lit: string | null;
  onView: (change: (view: SheetsView) => SheetsView) => void;
  onPick: (revision: number) => void;
  onClose?: () => void;
}

/** One of the states that stand beside each other. */
function Pane({ id, offered, revision, words, view, lit, onView, onPick, onClose }: PaneProps) {
  const design = useStateOf(id, revision);
  return (
    <section aria-label={words} className="flex min-w-0 flex-1 flex-col border-r border-hairline">
      <div className="flex h-9 items-center gap-1 border-b border-hairline bg-surface px-2">
        <Choice
          label="state"
          value={String(revision)}
          choices={offered.map((state) => ({ value: String(state.revision), words: state.words }))}
          onChange={(next) => onPick(Number(next))}
        />
        {onClose && (
          <IconButton label={`Leave ${words} out`} className="ml-auto size-7" onClick={onClose}>
            <X size={15} />
          </IconButton>
        )}
      </div>
      <SheetView label={words} view={view} onView={onView}>
        <StatePicture design={design} lit={lit} words={words} />
      </SheetView>
    </section>
  );
}

interface LaidOverProps extends Omit<PaneProps, "revision" | "words" | "onPick" | "onClose" | "offered"> {
  readonly revisions: readonly [number, number];
  wordsOf: (revision: number) => string;
}

/** Two states over each other: left of the edge the first, right of it the other. */
function LaidOver({ id, revisions: [left, right], wordsOf, view, lit, onView }: LaidOverProps) {
  const [share, setShare] = useState(0.5);
  const [one, other] = [useStateOf(id, left), useStateOf(id, right)];
  const move = (to: number) => setShare(Math.min(1, Math.max(0, to)));
  const drag = useDrag<number>({
    grasp: (event) => event.currentTarget.parentElement?.getBoundingClientRect().width ?? 1,
    onMove: (width, { before, to }) => setShare((now) => Math.min(1, Math.max(0, now + (to.x - before.x) / width))),
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -0.02, ArrowRight: 0.02 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    move(share + by);
  };
  const percent = `${share * 100}%`;
  return (
    <section aria-label="One over the other" className="relative flex min-w-0 flex-1 flex-col">
      {[
        { design: one, revision: left, clip: `inset(0 calc(100% - ${percent}) 0 0)` },
        { design: other, revision: right, clip: `inset(0 0 0 ${percent})` },
      ].map(({ design, revision, clip }, index) => (
        <div key={index} className="absolute inset-0 flex" style={{ clipPath: clip }}>
          <SheetView label={wordsOf(revision)} view={view} onView={onView}>
            <StatePicture design={design} lit={lit} words={wordsOf(revision)} />
          </SheetView>
        </div>
      ))}
      <div
        role="slider"
        tabIndex={0}
        aria-label="The edge between the two"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(share * 100)}
        onKeyDown={onKeyDown}
        {...drag}
        style={{ left: percent }}
        className="absolute inset-y-0 -ml-3 w-6 cursor-ew-resize touch-none"
      >
        <span className="mx-auto block h-full w-0.5 bg-words outline outline-1 outline-surface" />
      </div>
      <p className="pointer-events-none absolute top-2 left-3 rounded bg-surface px-2 text-[15px]">{wordsOf(left)}</p>
      <p className="pointer-events-none absolute top-2 right-3 rounded bg-surface px-2 text-[15px]">{wordsOf(right)}</p>
    </section>
  );
}

interface DifferencesOfProps {
  readonly id: string;
  readonly revision: number;
  readonly words: string;
  onLight: (part: string | null) => void;
}

function DifferencesOf({ id, revision, words, onLight }: DifferencesOfProps) {
  const present = useStateOf(id, PRESENT);
  const other = useStateOf(id, revision);
  if (revision === PRESENT) return <p className="text-quiet">Choose another state to see what differs.</p>;
  if (!present || !other) return <p className="text-quiet">Reading it …</p>;
  return <Differences from={present} to={other} words={words} onLight={onLight} />;
}
