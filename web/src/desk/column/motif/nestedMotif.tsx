import { useState } from "react";
import { motifOf, PLACE_DEFAULT, type Motif } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeNested, setNestedPlace, type NestedOwner } from "@/store/edits/nested";
import { OpeningWord } from "@/ui/openingWord";
import { FieldsProvider } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";
import { MOTIF_SENTENCES } from "../../sentences/motifSentences";
import { articleOf, kindName } from "./motifKinds";
import { NestedPicker } from "./nestedPicker";
import { PlaceNumbers } from "./placeNumbers";

interface NestedMotifProps {
  readonly part: string;
  readonly owner: NestedOwner;
  readonly motif: Motif;
  /** What it is to the motif it belongs to. */
  readonly role: string;
  /** Tells it from others of its role. */
  readonly number?: number;
  readonly startsSentence?: boolean;
}

/** A motif within a motif in words: its kind, its numbers, its place. */
export function NestedMotif({ part, owner, motif, role, number, startsSentence = false }: NestedMotifProps) {
  const { edit } = useEditing();
  const [open, setOpen] = useState(false);
  const Words = MOTIF_SENTENCES[motif.kind];
  const name = kindName(motif.kind);
  const article = articleOf(name);
  const named = number === undefined ? role : `${role} ${number}`;
  return (
    <FieldsProvider part={part} owner={owner} stored={motif} table={motifOf(motif.kind)?.fields ?? {}} role={named}>
      {startsSentence ? article : article.toLowerCase()}
      <NestedPicker
        part={part}
        onPick={(next) => edit(changeNested(part, owner, next))}
        trigger={
          <OpeningWord label={`${named}: ${name}`} bold>
            {name}
          </OpeningWord>
        }
      />{" "}
      {Words && <Words />}{" "}
      {open || hasPlace(motif) ? (
        <>
          It stands{" "}
          <PlaceNumbers
            place={motif.at ?? {}}
            label={named}
            onSet={(key, value, change, gesture) =>
              edit(setNestedPlace(part, owner, { [key]: value ?? PLACE_DEFAULT[key] }, change, gesture))
            }
          />
          .
        </>
      ) : (
        <WordButton onClick={() => setOpen(true)}>move it …</WordButton>
      )}
    </FieldsProvider>
  );
}

function hasPlace({ at }: Motif): boolean {
  return at !== undefined && Object.values(at).some((value) => value !== undefined);
}
