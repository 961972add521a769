import { useDesk, type SaveState } from "@/store/deskStore";
import { saveNow } from "@/store/saving";

const WORDS: Readonly<Record<SaveState["kind"], { mark: string; words: string; look: string }>> = {
  saved: { mark: "✓", words: "Saved", look: "text-good" },
  changed: { mark: "·", words: "Changed", look: "text-quiet" },
  saving: { mark: "↑", words: "Saving", look: "text-quiet" },
  failed: { mark: "✕", words: "Not saved", look: "text-failed" },
  conflict: { mark: "△", words: "Changed elsewhere", look: "text-doubtful" },
};

/** Whether the design is on disk. */
export function SavePanel() {
  const saveState = useDesk((state) => state.saveState);
  const { mark, words, look } = WORDS[saveState.kind];
  return (
    <span role="status" className={`flex items-center gap-1 text-[15px] whitespace-nowrap ${look}`}>
      <span aria-hidden="true">{mark}</span>
      <span title={saveState.kind === "failed" ? saveState.reason : undefined}>
        {words}
        {saveState.kind === "failed" && (saveState.kept ? ", kept here" : ", and not kept here: take the file away")}
      </span>
      {saveState.kind === "failed" && (
        <button type="button" className="underline" onClick={saveNow} title={saveState.reason}>
          try again
        </button>
      )}
    </span>
  );
}
