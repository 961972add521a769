import { useRef } from "react";
import { useDeskStore } from "@/store/deskStore";
import { addPart, changeMotif } from "@/store/edits/parts";
import { importPicture } from "../../importPicture";
import { madeMotif } from "./made/list";

/**
 * Begins a motif of a kind: in a part that is there, or as a new one. Drawings and strokes begin with the
 * tool in hand, pictures with the choice of a file. `chooser` has to be laid somewhere.
 */
export function useMotifMaker() {
  const store = useDeskStore();
  const chooser = useRef<HTMLInputElement>(null);
  const target = useRef<string | null>(null);

  const begin = (kind: string, part: string | null) => {
    const chooseFile = () => {
      target.current = part;
      chooser.current?.click();
    };
    const made = madeMotif(kind);
    if (made) return made.begin({ part, store, chooseFile });
    const { edit, choose, setHand, history } = store.getState();
    setHand({ tool: "look" });
    if (part !== null) return edit(changeMotif(history.design, part, kind));
    const added = addPart(history.design, kind);
    edit(added.edit);
    choose(added.id);
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
