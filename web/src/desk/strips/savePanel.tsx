import { useDesk, useDeskStore, type SaveState } from "@/store/deskStore";
import { saveNow } from "@/store/saving";
import { faultPlace } from "./faultPlace";

const WORDS: Readonly<Record<SaveState["kind"], { mark: string; words: string; look: string }>> = {
  saved: { mark: "✓", words: "Saved", look: "text-good" },
  changed: { mark: "·", words: "Changed", look: "text-quiet" },
  saving: { mark: "↑", words: "Saving", look: "text-quiet" },
  failed: { mark: "✕", words: "Not saved", look: "text-failed" },
  conflict: { mark: "△", words: "Changed elsewhere", look: "text-doubtful" },
};

/** Whether the design is on disk; where it cannot be, what is wrong and the way there. */
export function SavePanel() {
  const saveState = useDesk((state) => state.saveState);
  const { mark, words, look } = WORDS[saveState.kind];
  return (
    <span role="status" className={`flex min-w-0 items-center gap-1 text-[15px] whitespace-nowrap ${look}`}>
      <span aria-hidden="true">{mark}</span>
      <span title={saveState.kind === "failed" ? saveState.reason : undefined}>
        {words}
        {saveState.kind === "failed" && (saveState.kept ? ", kept here" : ", and not kept here: take the file away")}
      </span>
      {saveState.kind === "failed" &&
        (saveState.path === null ? (
          <button type="button" className="underline" onClick={saveNow} title={saveState.reason}>
            try again
          </button>
        ) : (
          <FaultLink path={saveState.path} reason={saveState.reason} />
        ))}
    </span>
  );
}

/** What is wrong with the design, and the way to the number it is about. */
function FaultLink({ path, reason }: { path: string; reason: string }) {
  const design = useDesk((state) => state.history.design);
  const store = useDeskStore();
  const { part, words } = faultPlace(design, path);
  const show = () => {
    if (part !== null) store.getState().choose(part);
    // Once the part's sentences are there.
    requestAnimationFrame(() => document.querySelector<HTMLElement>("[role=spinbutton][aria-invalid=true]")?.focus());
  };
  return (
    <button type="button" onClick={show} title={`${words} ${reason}`} className="min-w-0 truncate underline">
      {words} {reason}
    </button>
  );
}
