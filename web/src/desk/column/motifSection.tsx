import { type Part, motifOf, PLACE_DEFAULT, PLACE_LIMITS, type NumberValue, type PlaceValue } from "@twin-petal/core";
import { useState } from "react";
import { useDesign, useDesk } from "@/store/deskStore";
import { changeMotif, partEdit } from "@/store/edits/parts";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";
import { FieldsProvider } from "../fields/fieldsContext";
import { WordButton } from "../fields/wordButton";
import { MOTIF_SENTENCES } from "../sentences/motifSentences";
import { MotifPicker } from "./motifPicker";

/** What is repeated. */
export function MotifSection({ part }: { part: Part }) {
  const design = useDesign();
  const edit = useDesk((state) => state.edit);
  const { motif } = part;
  const Words = MOTIF_SENTENCES[motif.kind];
  const article = /^[aeiou]/.test(motif.kind) ? "An" : "A";
  return (
    <section aria-label="Motif">
      <FieldsProvider part={part.id} rule={null} stored={motif} table={motifOf(motif.kind)?.fields ?? {}}>
        <Sentence>
          {article}{" "}
          <MotifPicker
            onPick={(kind) => kind !== motif.kind && edit(changeMotif(design, part.id, kind))}
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
          {Words && <Words />} <MotifPlace part={part} />
        </Sentence>
      </FieldsProvider>
    </section>
  );
}

/** Where the motif is set before any rule; folded while it stands as it comes. */
function MotifPlace({ part }: { part: Part }) {
  const [open, setOpen] = useState(false);
  const edit = useDesk((state) => state.edit);
  const { at } = part.motif;
  if (!open && !at) return <WordButton onClick={() => setOpen(true)}>set it askew …</WordButton>;
  const set = (key: keyof PlaceValue, value: NumberValue | undefined, change: string, gesture?: string) =>
    edit(
      partEdit(
        part.id,
        `motif ${change}`,
        (draft) => {
          const place = { ...draft.motif.at };
          if (value === undefined || value === PLACE_DEFAULT[key]) delete place[key];
          else place[key] = value;
          if (Object.keys(place).length > 0) draft.motif.at = place;
          else delete draft.motif.at;
        },
        gesture && `${part.id}/motif-${key}/${gesture}`,
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
