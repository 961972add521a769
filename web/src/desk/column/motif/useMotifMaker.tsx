import { useRef } from "react";
import { motifOf, type Design, type Motif } from "@twin-petal/core";
import { useDeskStore } from "@/store/deskStore";
import { addMadePart } from "@/store/edits/drawn";
import { addPart, changeMotif, partEdit, repeatWhole } from "@/store/edits/parts";
import { leadingPart } from "@/store/edits/rules";
import { castDraft } from "immer";
import { importPicture } from "../../importPicture";
import { kindName } from "./motifKinds";

/** What a made motif begins as. */
const FIRST: Readonly<Record<string, Motif>> = {
  walk: { kind: "walk", steps: [{ times: 4, steps: [{ go: 20 }, { turn: 90 }] }] },
  text: { kind: "text", text: "Brinewick" },
};

/**
 * Begins a motif of a kind: in a part that is there, or as a new one. Drawings and strokes begin with the
 * tool in hand, pictures with the choice of a file. `chooser` has to be laid somewhere.
 */
export function useMotifMaker() {
  const store = useDeskStore();
  const chooser = useRef<HTMLInputElement>(null);
  const target = useRef<string | null>(null);

  const begin = (kind: string, part: string | null) => {
    const { edit, choose, setHand, history, chosen } = store.getState();
    const { design } = history;
    if (kind === "svg") {
      target.current = part;
      return chooser.current?.click();
    }
    if (kind === "drawn" || kind === "freehand") {
      if (part !== null) edit(changeMotif(design, part, kind));
      else choose(null);
      return setHand({ tool: kind === "drawn" ? "draw" : "freehand" });
    }
    setHand({ tool: "look" });
    const first = kind === "part" ? wholePartOf(design, part, chosen) : FIRST[kind];
    const whole = part === null && kind === "part" ? design.parts.find(({ id }) => id === first?.part) : undefined;
    if (whole) {
      const repeated = repeatWhole(design, whole);
      edit(repeated.edit);
      return choose(repeated.id);
    }
    if (part === null) {
      const open = motifOf(kind)?.open ?? false;
      const added = first ? addMadePart(design, first, capital(kindName(kind)), open) : addPart(design, kind);
      edit(added.edit);
      return choose(added.id);
    }
    if (!first) return edit(changeMotif(design, part, kind));
    edit(
      partEdit(part, `make the motif a ${kindName(kind)}`, (draft) => {
        draft.motif = castDraft(first);
      }),
    );
  };

  const onFile = async (file: File | undefined) => {
    if (file) await importPicture(store, file, target.current);
    if (chooser.current) chooser.current.value = "";
  };
  const fileChooser = (
    <input
      ref={chooser}
      type="file"
      accept=".svg,image/svg+xml"
      aria-label="Picture to import"
      className="hidden"
      onChange={(event) => void onFile(event.target.files?.[0])}
    />
  );
  return { begin, fileChooser };
}

/** Another part as a motif: the chosen one for a new part, the nearest one for a part that is there. */
function wholePartOf(design: Design, part: string | null, chosen: string | null): Motif {
  const used = part === null ? (chosen ?? design.parts.at(-1)?.id) : leadingPart(design, part);
  return { kind: "part", part: used ?? "" };
}

function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}
