import { useState } from "react";
import { Copy, Trash2 } from "lucide-react";
import { boxOfPath, motifOf, pathOfData, PLACE_DEFAULT, type Motif } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import {
  changeNested,
  removeNested,
  setNestedPlace,
  stampAgain,
  type NestedList,
  type NestedOwner,
} from "@/store/edits/nested";
import { motifFor } from "@/store/edits/parts";
import { IconButton } from "@/ui/button";
import { Sentence } from "@/ui/sentence";
import { FieldsProvider } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";
import { MOTIF_SENTENCES } from "../../sentences/motifSentences";
import { usePicture } from "../../stage/pictureContext";
import { MotifPicker } from "./motifPicker";
import { kindName } from "./motifKinds";
import { PlaceNumbers } from "./placeNumbers";

interface NestedListProps {
  readonly part: string;
  readonly list: NestedList;
  readonly motifs: readonly Motif[];
}

/** Motifs within a motif, each a sentence of its own. */
export function NestedMotifs({ part, list, motifs }: NestedListProps) {
  return (
    <ul className="space-y-1">
      {motifs.map((motif, index) => (
        <NestedRow key={index} part={part} list={list} motif={motif} index={index} />
      ))}
    </ul>
  );
}

function NestedRow({ part, list, motif, index }: { part: string; list: NestedList; motif: Motif; index: number }) {
  const { edit, now } = useEditing();
  const { report } = usePicture();
  const [open, setOpen] = useState(false);
  const owner: NestedOwner = list === "cutouts" ? { cutout: index } : { member: index };
  const Words = MOTIF_SENTENCES[motif.kind];
  const name = kindName(motif.kind);
  const centre = () => {
    const outline = report?.chosen?.id === part ? boxOfPath(pathOfData(report.chosen.outline)) : null;
    if (!outline) return;
    const [, , , , e, f] = report?.chosen?.motifAt ?? [1, 0, 0, 1, 0, 0];
    const middle = { x: (outline.left + outline.right) / 2 - e, y: (outline.top + outline.bottom) / 2 - f };
    edit(setNestedPlace(part, owner, { x: tidy(middle.x), y: tidy(middle.y) }, "centre it"));
  };
  return (
    <li className="rounded-md border border-hairline px-2 py-1">
      <div className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <FieldsProvider part={part} owner={owner} stored={motif} table={motifOf(motif.kind)?.fields ?? {}}>
            <Sentence>
              {/^[aeiou]/.test(name) ? "An" : "A"}{" "}
              <MotifPicker
                readyOnly
                onPick={(kind) => edit(changeNested(part, owner, motifFor(now(), kind)))}
                trigger={
                  <button
                    type="button"
                    aria-label={`${list === "cutouts" ? "cutout" : "shape"} ${index + 1}: ${name}`}
                    className="rounded px-0.5 font-bold text-live underline decoration-dotted decoration-1 underline-offset-[5px] hover:bg-live-ground"
                  >
                    {name}
                  </button>
                }
              />{" "}
              {Words && <Words />}{" "}
              {open || hasPlace(motif) ? (
                <>
                  It stands{" "}
                  <PlaceNumbers
                    place={motif.at ?? {}}
                    label={list === "cutouts" ? "cutout" : "shape"}
                    onSet={(key, value, change, gesture) =>
                      edit(setNestedPlace(part, owner, { [key]: value ?? PLACE_DEFAULT[key] }, change, gesture))
                    }
                  />
                  .
                </>
              ) : (
                <WordButton onClick={() => setOpen(true)}>move it …</WordButton>
              )}
              <WordButton onClick={centre}>centre it</WordButton>
            </Sentence>
          </FieldsProvider>
        </div>
        <div className="flex flex-col">
          <IconButton label="Stamp it again" className="size-7" onClick={() => edit(stampAgain(part, list, index, 10))}>
            <Copy size={14} />
          </IconButton>
          <IconButton label="Remove it" className="size-7" onClick={() => edit(removeNested(part, list, index))}>
            <Trash2 size={14} />
          </IconButton>
        </div>
      </div>
    </li>
  );
}

function hasPlace({ at }: Motif): boolean {
  return at !== undefined && Object.keys(at).length > 0;
}

const tidy = (value: number) => Number(value.toFixed(6));
