import { unwaited } from "@/api/unwaited";
import { useEffect } from "react";
import { toast } from "sonner";
import { bundleOf, openDesign, writeDesign } from "@twin-petal/core";
import { useDeskStore, type DeskStore } from "@/store/deskStore";
import { pasteParts, pastePiece, type PartPiece } from "@/store/edits/pasteParts";
import { partsWords, removeSeveral } from "@/store/edits/several";
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
      if (isOurs(event) && hasNoWords()) copyParts(store, event);
    };
    const cut = (event: ClipboardEvent) => {
      if (!isOurs(event) || !hasNoWords()) return;
      const ids = copyParts(store, event);
      if (ids.length > 0) store.getState().edit(removeSeveral(ids));
    };
    const paste = (event: ClipboardEvent) => {
      if (!isOurs(event)) return;
      event.preventDefault();
      unwaited(pasteFrom(store, event.clipboardData, pieceAt(event.target)));
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

/** Lays the chosen parts on the clipboard; answers their ids. */
function copyParts(store: DeskStore, event: ClipboardEvent): string[] {
  const { history, chosen, also } = store.getState();
  const parts = history.design.parts.filter(({ id }) => id === chosen || also.includes(id));
  const [first] = parts;
  if (!first) return [];
  event.preventDefault();
  const ids = parts.map(({ id }) => id);
  const name = parts.length === 1 ? `“${first.name}”` : partsWords(parts.length);
  event.clipboardData?.setData("text/plain", writeDesign(bundleOf(history.design, ids, first.name)));
  toast(`${name} ${parts.length === 1 ? "is" : "are"} on the clipboard`, { id: "clipboard" });
  return ids;
}

/** What is pasted goes by where the keys are: among the rules only rules, in the finish only that. */
function pieceAt(target: EventTarget | null): PartPiece | null {
  const section = target instanceof Element ? target.closest("section")?.getAttribute("aria-label") : null;
  return section === "Rules" ? "rules" : section === "Finish" ? "finish" : null;
}

async function pasteFrom(store: DeskStore, data: DataTransfer | null, piece: PartPiece | null): Promise<void> {
  const [file] = data?.files ?? [];
  if (file) return importPicture(store, file, null);
  const text = data?.getData("text/plain") ?? "";
  if (text.trim() === "") return;
  const { design, problems } = openDesign(text);
  const { history, chosen, edit, choose } = store.getState();
  if (design && piece !== null && chosen !== null) {
    const pasted = pastePiece(history.design, design, chosen, piece);
    if ("trouble" in pasted) return void toast.error(`It was not pasted: ${pasted.trouble}.`);
    edit(pasted);
    return;
  }
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
