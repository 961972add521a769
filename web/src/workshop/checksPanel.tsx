import { useState } from "react";

const MARKS = { passed: "✓", doubtful: "!", failed: "✕" } as const;
const WORDS = { passed: "passed", doubtful: "doubtful", failed: "failed" } as const;
const COLORS = { passed: "text-good", doubtful: "text-doubtful", failed: "text-failed" } as const;

/** What a check found, at places of a kind. */
interface Found<K, P> {
  readonly kind: K;
  readonly state: keyof typeof MARKS;
  readonly places: readonly P[];
}

/** How a check is told. */
interface Label<C> {
  readonly kind: string;
  readonly name: string;
  words: (found: C) => string;
}

/** Something that mends what a check found. */
export interface Mend {
  readonly words: string;
  mend: () => void;
}

interface ChecksPanelProps<P, C extends Found<string, P>> {
  /** Null while they are not known. */
  readonly checks: readonly C[] | null;
  /** How they are told, in order. */
  readonly labels: readonly Label<C>[];
  /** Said while they are not known. */
  readonly waiting: string;
  /** Said where there is nothing to check; null where there is something. */
  readonly nothing: string | null;
  /** Shows where: all places of a check, and the one that is looked at. */
  onShow: (places: readonly P[], at: P) => void;
  /** What mends a check that did not pass, if there is anything. */
  mendOf?: (found: C) => Mend | null;
}

/** What stands against making it: figures, each with a button that turns the view to the place. */
export function ChecksPanel<P, C extends Found<string, P>>(props: ChecksPanelProps<P, C>) {
  const { labels, waiting, nothing, onShow, mendOf } = props;
  const checks = nothing === null ? props.checks : null;
  const worst = checks?.some(({ state }) => state === "failed")
    ? "It cannot be made so."
    : checks?.some(({ state }) => state === "doubtful")
      ? "It can be made; look at what is doubtful."
      : "Nothing stands against making it.";
  return (
    <section aria-label="Checks" className="flex flex-col gap-2">
      <h2 className="text-lg font-bold">Checks</h2>
      <p className="text-quiet">{checks ? worst : (nothing ?? waiting)}</p>
      <ul className="flex flex-col gap-2">
        {labels.map(({ kind, name, words }) => {
          const found = checks?.find((one) => one.kind === kind);
          if (!found) return null;
          const mend = found.state === "passed" ? null : (mendOf?.(found) ?? null);
          return <CheckLine key={kind} name={name} found={found} words={words(found)} mend={mend} onShow={onShow} />;
        })}
      </ul>
    </section>
  );
}

interface CheckLineProps<P> {
  readonly name: string;
  readonly found: Found<string, P>;
  readonly words: string;
  readonly mend: Mend | null;
  onShow: (places: readonly P[], at: P) => void;
}

function CheckLine<P>({ name, found: { state, places }, words, mend, onShow }: CheckLineProps<P>) {
  const [next, setNext] = useState(0);
  const show = () => {
    const at = places[next % places.length];
    if (at) onShow(places, at);
    setNext((next + 1) % places.length);
  };
  return (
    <li data-check={name} data-state={state} className="flex items-start gap-2 leading-snug">
      <span className={`w-4 shrink-0 text-center font-bold ${COLORS[state]}`} aria-hidden="true">
        {MARKS[state]}
      </span>
      <span className="min-w-0 flex-1">
        <b className="font-medium">{name}</b> <span className={COLORS[state]}>{WORDS[state]}</span>
        <span className="block text-[15px] text-quiet">{words}</span>
        {mend && (
          <button
            type="button"
            onClick={mend.mend}
            className="mt-0.5 rounded border border-hairline px-1.5 text-[14px] font-medium hover:border-quiet"
          >
            {mend.words}
          </button>
        )}
      </span>
      {places.length > 0 && (
        <button
          type="button"
          onClick={show}
          aria-label={`Show where: ${name}`}
          className="shrink-0 rounded border border-hairline px-1.5 text-[14px] text-quiet hover:border-quiet hover:text-words"
        >
          show{places.length > 1 ? ` ${next + 1}/${places.length}` : ""}
        </button>
      )}
    </li>
  );
}
