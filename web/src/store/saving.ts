import { toFile } from "@twin-petal/core";
import { saveDesign } from "@/api/designs";
import { ApiError, messageOf } from "@/api/http";
import type { DeskStore } from "./deskStore";
import { keep } from "./keep";

/** A change rests this long before it is saved, milliseconds; a drag saves once, at its end. */
const REST = 500;
const KEEP_REST = 150;
const RETRY = 4_000;

/**
 * Saves the design whenever it has changed and rested, and keeps every change in the browser until
 * the server has it. Answers a function that ends this.
 */
export function startSaving(store: DeskStore): () => void {
  let saveTimer = 0;
  let keepTimer = 0;
  let saving = false;
  let savedDesign = store.getState().saveState.kind === "saved" ? store.getState().history.design : null;

  const keepNow = () => {
    window.clearTimeout(keepTimer);
    const { id, history, revision } = store.getState();
    return keep(id, { history, revision, saved: history.design === savedDesign });
  };

  const saveSoon = (rest: number) => {
    window.clearTimeout(saveTimer);
    saveTimer = window.setTimeout(() => void save(), rest);
  };

  const save = async (last = false) => {
    window.clearTimeout(saveTimer);
    const { id, history, revision, saveState, setSaveState, setRevision } = store.getState();
    const { design } = history;
    if (saving || design === savedDesign || saveState.kind === "conflict") return;
    saving = true;
    setSaveState({ kind: "saving" });
    try {
      const next = await saveDesign(id, toFile(design), revision, last);
      savedDesign = design;
      setRevision(next);
      const rested = store.getState().history.design === design;
      setSaveState({ kind: rested ? "saved" : "changed" });
      if (!rested) saveSoon(REST);
    } catch (error) {
      setSaveState(failureOf(error));
      // What the server refuses is only worth another try after another change.
      if (!(error instanceof ApiError) || error.status === 0 || error.status >= 500) saveSoon(RETRY);
    } finally {
      saving = false;
      void keepNow();
    }
  };

  const stopWatching = store.subscribe((state, before) => {
    if (state.saveState.kind === "saved" && before.saveState.kind === "conflict") savedDesign = state.history.design;
    if (state.history === before.history) {
      if (state.saveState.kind === "changed" && before.saveState.kind === "conflict") saveSoon(0);
      return;
    }
    window.clearTimeout(keepTimer);
    keepTimer = window.setTimeout(() => void keepNow(), KEEP_REST);
    if (state.saveState.kind === "conflict") return;
    const back = state.history.design === savedDesign;
    if (!saving) state.setSaveState({ kind: back ? "saved" : "changed" });
    if (!back) saveSoon(REST);
  });

  const leave = () => {
    if (document.visibilityState !== "hidden") return;
    void keepNow();
    void save(true);
  };
  const saveNow = () => void save();
  document.addEventListener("visibilitychange", leave);
  window.addEventListener("online", saveNow);
  window.addEventListener(SAVE_NOW, saveNow);
  if (savedDesign === null) saveSoon(0);

  return () => {
    void keepNow();
    void save(true);
    stopWatching();
    document.removeEventListener("visibilitychange", leave);
    window.removeEventListener("online", saveNow);
    window.removeEventListener(SAVE_NOW, saveNow);
  };
}

const SAVE_NOW = "twin-petal:save-now";

/** Saves without waiting for the change to rest. */
export function saveNow(): void {
  window.dispatchEvent(new Event(SAVE_NOW));
}

function failureOf(error: unknown) {
  if (error instanceof ApiError && error.status === 412 && error.details.revision !== undefined) {
    return { kind: "conflict", revision: error.details.revision } as const;
  }
  const first = error instanceof ApiError ? error.details.errors?.[0] : undefined;
  return { kind: "failed", reason: first ? `${first.path}: ${first.message}` : messageOf(error) } as const;
}
