import { useMemo } from "react";
import { toast } from "sonner";
import {
  differencesBetween,
  problemLine,
  readDesign,
  toFile,
  withDifference,
  type Design,
  type Difference,
} from "@twin-petal/core";
import { WordButton } from "@/desk/fields/wordButton";
import { useDeskStore } from "@/store/deskStore";
import { goBackTo } from "@/store/edits/goBack";
import { Button } from "@/ui/button";
import { differenceWords } from "./differenceWords";

/** Differences said at once. */
const SAID = 200;

interface DifferencesProps {
  readonly from: Design;
  readonly to: Design;
  /** What the other state is called. */
  readonly words: string;
  onLight: (part: string | null) => void;
}

/** In what another state differs from the present one, in sentences; each, or all of them, can be taken over. */
export function Differences({ from, to, words, onLight }: DifferencesProps) {
  const store = useDeskStore();
  const differences = useMemo(() => differencesBetween(from, to), [from, to]);
  const take = (taken: readonly Difference[], label: string) => {
    const { history, edit } = store.getState();
    const next = taken.reduce(withDifference, history.design);
    const [problem] = readDesign(toFile(next)).problems;
    if (problem) {
      return void toast.error(`It needs more of ${words}: ${problemLine(problem)}. Take that over first, or all.`);
    }
    edit(goBackTo(next, label));
  };
  if (differences.length === 0) return <p className="text-quiet">{words} is the same as it is now.</p>;
  return (
    <>
      <p className="text-[15px] text-quiet">As it is now, then {words}:</p>
      <ul aria-label="Differences" className="space-y-1.5">
        {differences.slice(0, SAID).map((difference, index) => {
          const { about, before, after } = differenceWords(from, to, difference);
          return (
            <li
              key={index}
              onPointerEnter={() => onLight(difference.part)}
              onPointerLeave={() => onLight(null)}
              onFocus={() => onLight(difference.part)}
              onBlur={() => onLight(null)}
              className="rounded-md border border-hairline px-2 py-1 leading-snug hover:border-quiet"
            >
              {about}: <span className="font-mono text-[14px]">{before}</span>, then{" "}
              <span className="font-mono text-[14px]">{after}</span>
              <WordButton onClick={() => take([difference], `take over ${about} of ${words}`)}>take it over</WordButton>
            </li>
          );
        })}
      </ul>
      {differences.length > SAID && <p className="text-quiet">and {differences.length - SAID} more</p>}
      <Button className="self-start" onClick={() => take(differences, `take over all of ${words}`)}>
        Take all over
      </Button>
    </>
  );
}
