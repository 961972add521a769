import { useEffect } from "react";
import { toast } from "sonner";
import { bundleOf, openDesign, writeDesign } from "@twin-petal/core";
import { useDeskStore, type DeskStore } from "@/store/deskStore";
import { pasteParts } from "@/store/edits/pasteParts";
import { removePart } from "@/store/edits/parts";
import { importPicture } from "./importPicture";
import { isElsewhere, isTyping } from "./keyTargets";

/**
 * Parts go through the system's clipboard as the text of a design file that holds them and what they need, within a design,
 * between designs and between windows; SVGs from elsewhere come in by it too.
 */
export function useClipboard(): void {
  const store = useDeskStore();
  useEffect(() => {
    const isOurs = (event: ClipboardEvent) => !isTyping(event) && !isElsewhere(event) && event.clipboardData !== null;
    const copy = (event: ClipboardEvent) => {
      if (isOurs(event) && hasNoWords()) copyPart(store, event);
    };
    const cut = (event: ClipboardEvent) => {
      if (!isOurs(event) || !hasNoWords()) return;
      const part = copyPart(store, event);
      if (part && !part.locked) store.getState().edit(removePart(store.getState().history.design, part));
    };
    const paste = (event: ClipboardEvent) => {
      if (!isOurs(event)) return;
      event.preventDefault();
      void pasteFrom(store, event.clipboardData);
    };
    document.addEventListener("copy", copy);
    document.addEventListener("cut", cut);
    document.addEventListener("paste", paste);
    return () => {
      document.removeEventListener("copy", copy);
      document.removeEventListener("cut", cut);
      document.removeEventListener("paste", paste);
    };
  }, [store]);
}

/** Words that someone has marked are copied as words. */
const hasNoWords = () => document.getSelection()?.isCollapsed ?? true;

function copyPart(store: DeskStore, event: ClipboardEvent) {
  const { history, chosen } = store.getState();
  const part = history.design.parts.find(({ id }) => id === chosen);
  if (!part) return undefined;
  event.preventDefault();
  event.clipboardData?.setData("text/plain", writeDesign(bundleOf(history.design, [part.id], part.name)));
  toast(`“${part.name}” is on the clipboard`, { id: "clipboard" });
  return part;
}

async function pasteFrom(store: DeskStore, data: DataTransfer | null): Promise<void> {
  const [file] = data?.files ?? [];
  if (file) return importPicture(store, file, null);
  const text = data?.getData("text/plain") ?? "";
  if (text.trim() === "") return;
  const { design, problems } = openDesign(text);
  const { history, edit, choose } = store.getState();
  if (design) {
    const pasted = pasteParts(history.design, design);
    if ("trouble" in pasted) return void toast.error(`It was not pasted: ${pasted.trouble}.`);
    edit(pasted.edit);
    if (pasted.id !== null) choose(pasted.id);
    return;
  }
  if (/<svg[\s>]/i.test(text)) return importPicture(store, new File([text], "Pasted.svg"), null);
  const [first] = problems;
  const isMeant = /twin-petal/.test(text) && first;
  toast.error(
    isMeant
      ? `It was not pasted: ${first.path === "" ? "the text" : first.path} ${first.message}.`
      : "The clipboard holds neither parts of a design nor an SVG.",
  );
}
