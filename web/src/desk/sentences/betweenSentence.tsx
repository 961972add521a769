import { useState } from "react";
import { motifOf, PLACE_DEFAULT, type FieldValue, type Motif } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { changeNested, setNestedPlace } from "@/store/edits/nested";
import { motifFor } from "@/store/edits/parts";
import { kindName } from "../column/motif/motifKinds";
import { MotifPicker } from "../column/motif/motifPicker";
import { PlaceNumbers } from "../column/motif/placeNumbers";
import { FieldToggle } from "../fields/fieldChoice";
import { FieldNumber } from "../fields/fieldNumber";
import { FieldsProvider, useFields } from "../fields/fieldsContext";
import { WordButton } from "../fields/wordButton";
import { MOTIF_SENTENCES } from "./motifSentences";

export function BetweenSentence() {
  return (
    <>
      <b>Between</b> this and <SecondShape /> lie <FieldNumber of="count" /> shapes,{" "}
      <FieldToggle of="ends" label="ends" yes="both counted" no="both left out" />, crowding towards one end by{" "}
      <FieldNumber of="ease" />.
    </>
  );
}

/** The shape the copies become: its kind, its numbers, its place. */
function SecondShape() {
  const { part, owner, stored } = useFields();
  const { edit, now } = useEditing();
  const [open, setOpen] = useState(false);
  const motif: Motif | null = isMotif(stored.to) ? stored.to : null;
  if (typeof owner !== "object" || !("rule" in owner) || !motif) return "nothing yet";
  const second = { to: owner.rule };
  const Words = MOTIF_SENTENCES[motif.kind];
  const name = kindName(motif.kind);
  return (
    <FieldsProvider part={part} owner={second} stored={motif} table={motifOf(motif.kind)?.fields ?? {}}>
      {/^[aeiou]/.test(name) ? "an " : "a "}
      <MotifPicker
        readyOnly
        onPick={(kind) => edit(changeNested(part, second, motifFor(now(), kind)))}
        trigger={
          <button
            type="button"
            aria-label={`second shape: ${name}`}
            className="rounded px-0.5 font-bold text-live underline decoration-dotted decoration-1 underline-offset-[5px] hover:bg-live-ground"
          >
            {name}
          </button>
        }
      />{" "}
      {Words && <Words />}{" "}
      {open || motif.at !== undefined ? (
        <>
          It stands{" "}
          <PlaceNumbers
            place={motif.at ?? {}}
            label="second shape"
            onSet={(key, value, change, gesture) =>
              edit(setNestedPlace(part, second, { [key]: value ?? PLACE_DEFAULT[key] }, change, gesture))
            }
          />
          .
        </>
      ) : (
        <WordButton onClick={() => setOpen(true)}>move it …</WordButton>
      )}{" "}
      Between them
    </FieldsProvider>
  );
}

function isMotif(stored: FieldValue | undefined): stored is FieldValue & Motif {
  return typeof stored === "object" && "kind" in stored;
}
