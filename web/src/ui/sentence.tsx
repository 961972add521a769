import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";

interface TroubleNotes {
  /** Tells what is wrong with one word of the sentence; null when nothing is any more. */
  note: (word: string, trouble: string | null) => void;
}

const TroubleNotesContext = createContext<TroubleNotes>({ note: () => undefined });

/** Where a word of a sentence says what is wrong with it. */
export function useTroubleNotes(): TroubleNotes {
  return useContext(TroubleNotesContext);
}

/** Words with live numbers in them; what is wrong with one is told underneath. */
export function Sentence({ children, aside }: { children: ReactNode; aside?: ReactNode }) {
  const [troubles, setTroubles] = useState<ReadonlyMap<string, string>>(new Map());
  const note = useCallback((word: string, trouble: string | null) => {
    setTroubles((known) => {
      if ((known.get(word) ?? null) === trouble) return known;
      const next = new Map(known);
      if (trouble === null) next.delete(word);
      else next.set(word, trouble);
      return next;
    });
  }, []);
  const notes = useMemo(() => ({ note }), [note]);
  return (
    <TroubleNotesContext.Provider value={notes}>
      <p className="leading-[1.85]">{children}</p>
      {aside}
      {[...troubles].map(([word, trouble]) => (
        <p key={word} role="alert" className="text-[15px] leading-snug text-failed">
          <span aria-hidden="true">✕ </span>
          {word}: {trouble}
        </p>
      ))}
    </TroubleNotesContext.Provider>
  );
}
