import { useState } from "react";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Dialog } from "@/ui/dialog";
import { whenWords } from "@/ui/whenWords";
import type { Choice as Chosen } from "@/api/keep";
import type { Undecided } from "./useImport";

const CHOICES = [
  { value: "mine", words: "mine stays" },
  { value: "file", words: "the file’s takes its place" },
  { value: "both", words: "both hang there" },
] as const;

interface UndecidedDialogProps {
  readonly undecided: Undecided;
  /** Takes a design out of the bin. */
  onTakeOut: (id: string) => void;
  onChosen: (choices: ReadonlyMap<string, Chosen>) => void;
}

/** Designs of a zip that are here otherwise, and those that lie in the bin here: what becomes of each. */
export function UndecidedDialog({ undecided, onTakeOut, onChosen }: UndecidedDialogProps) {
  const { differing, binned, file } = undecided;
  const [choices, setChoices] = useState<ReadonlyMap<string, Chosen>>(new Map());
  const [takenOut, setTakenOut] = useState<ReadonlySet<string>>(new Set());
  const [now] = useState(() => Date.now());
  const choiceOf = (id: string) => choices.get(id) ?? "mine";
  const isFromFile = differing.some(({ id }) => choiceOf(id) !== "mine");
  const chosen = () => new Map(differing.map(({ id }): [string, Chosen] => [id, choiceOf(id)]));
  return (
    <Dialog title={`Here, and in ${file.name}`} open onClose={() => onChosen(new Map())}>
      {differing.length > 0 && (
        <section>
          <p className="text-quiet">
            {differing.length === 1
              ? "One design is here otherwise than in the file."
              : `${differing.length} designs are here otherwise than in the file.`}{" "}
            Where the file’s takes its place, mine stays as an earlier save.
          </p>
          {differing.length > 1 && (
            <p className="mt-2">
              All of them:{" "}
              {CHOICES.map(({ value, words }) => (
                <button
                  key={value}
                  type="button"
                  className="mr-3 underline"
                  onClick={() => setChoices(new Map(differing.map(({ id }) => [id, value])))}
                >
                  {words}
                </button>
              ))}
            </p>
          )}
          <ul className="mt-2 divide-y divide-hairline border-y border-hairline">
            {differing.map(({ id, name, here, file: inFile, binned: isBinned }) => (
              <li key={id} className="flex items-baseline justify-between gap-4 py-1.5">
                <span className="min-w-0">
                  <b className="block truncate">{name}</b>
                  <span className="text-[15px] text-quiet">
                    {isBinned ? "in the bin here" : "here"}, {whenWords(here, now)}; in the file,{" "}
                    {whenWords(inFile, now)}
                  </span>
                </span>
                <Choice
                  label={`What becomes of ${name}`}
                  value={choiceOf(id)}
                  choices={CHOICES}
                  onChange={(value) => setChoices(new Map(choices).set(id, value))}
                />
              </li>
            ))}
          </ul>
        </section>
      )}
      {binned.length > 0 && (
        <section className="mt-3">
          <p className="text-quiet">In the bin here, as they are in the file:</p>
          <ul className="mt-2 divide-y divide-hairline border-y border-hairline">
            {binned.map(({ id, name }) => (
              <li key={id} className="flex items-center justify-between gap-4 py-1">
                <b className="min-w-0 truncate">{name}</b>
                {takenOut.has(id) ? (
                  <span className="text-quiet">hangs on the wall</span>
                ) : (
                  <Button
                    look="quiet"
                    aria-label={`Take ${name} out of the bin`}
                    onClick={() => {
                      onTakeOut(id);
                      setTakenOut(new Set([...takenOut, id]));
                    }}
                  >
                    Take it out
                  </Button>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-4 flex justify-end">
        <Button look="main" onClick={() => onChosen(chosen())}>
          {isFromFile ? "Bring what was chosen" : "Leave it so"}
        </Button>
      </div>
    </Dialog>
  );
}
