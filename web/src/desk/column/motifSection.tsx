import { type Motif, motifOf, PLACE_DEFAULT, PLACE_LIMITS, type NumberValue, type PlaceValue } from "@twin-petal/core";
import { memo, useState } from "react";
import { useEditing } from "@/store/deskStore";
import { changeMotif, partEdit } from "@/store/edits/parts";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";
import { FieldsProvider } from "../fields/fieldsContext";
import { WordButton } from "../fields/wordButton";
import { MOTIF_SENTENCES } from "../sentences/motifSentences";
import { MotifPicker } from "./motifPicker";

/** What is repeated. */
export const MotifSection = memo(function MotifSection({ part, motif }: { part: string; motif: Motif }) {
  const { edit, now } = useEditing();
  const Words = MOTIF_SENTENCES[motif.kind];
  const article = /^[aeiou]/.test(motif.kind) ? "An" : "A";
  return (
    <section aria-label="Motif">
      <FieldsProvider part={part} rule={null} stored={motif} table={motifOf(motif.kind)?.fields ?? {}}>
        <Sentence>
          {article}{" "}
          <MotifPicker
            onPick={(kind) => kind !== motif.kind && edit(changeMotif(now(), part, kind))}
            trigger={
              <button
                type="button"
                aria-label={`motif: ${motif.kind}`}
                className="rounded px-0.5 font-bold text-live underline decoration-dotted decoration-1 underline-offset-[5px] hover:bg-live-ground"
              >
                {motif.kind}
              </button>
            }
          />{" "}
          {Words && <Words />} <MotifPlace part={part} at={motif.at} />
        </Sentence>
      </FieldsProvider>
    </section>
  );
});

/** Where the motif is set before any rule; folded while it stands as it comes. */
function MotifPlace({ part, at }: { part: string; at: Motif["at"] }) {
  const [open, setOpen] = useState(false);
  const { edit } = useEditing();
  if (!open && !at) return <WordButton onClick={() => setOpen(true)}>set it askew …</WordButton>;
  const set = (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) =>
    edit(
      partEdit(
        part,
        `motif ${change}`,
        (draft) => {
          const place = { ...draft.motif.at };
          if (value === undefined || value === PLACE_DEFAULT[key]) delete place[key];
          else place[key] = value;
          if (Object.keys(place).length > 0) draft.motif.at = place;
          else delete draft.motif.at;
        },
        gesture && `${part}/motif-${key}/${gesture}`,
      ),
    );
  return (
    <>
      Set <PlaceNumbers place={at ?? {}} label="motif" onSet={set} />.
    </>
  );
}

interface PlaceNumbersProps {
  readonly place: Partial<PlaceValue>;
  readonly label: string;
  onSet: (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) => void;
}

/** The four numbers of a place, as part of a sentence. */
export function PlaceNumbers({ place, label, onSet }: PlaceNumbersProps) {
  const number = (key: keyof PlaceValue, words: string) => (
    <BoundNumber
      label={`${label} ${words}`}
      stored={place[key]}
      standard={Number(PLACE_DEFAULT[key])}
      quantity={key === "turn" ? "angle" : key === "size" ? "factor" : "length"}
      limits={PLACE_LIMITS[key]}
      step={key === "size" ? 0.01 : 1}
      onSet={(value, change, gesture) => onSet(key, value, change, gesture)}
    />
  );
  return (
    <>
      {number("x", "across")} across and {number("y", "down")} down, turned {number("turn", "turn")} and sized{" "}
      {number("size", "size")}
    </>
  );
}
