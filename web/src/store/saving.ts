import { fetchDesign, saveDesign } from "@/api/designs";
import type { DeskStore } from "./deskStore";
import { keep } from "./keep";
import { leave as leaveDesk } from "./leaving";
import { Saver } from "./saver";

const SAVE_NOW = "twin-petal:save-now";

/** Saves a desk's design from now on; answers a function that ends this. */
export function startSaving(store: DeskStore): () => void {
  const saver = new Saver(store, { send: saveDesign, keep, fetch: fetchDesign });
  const leave = () => {
    if (document.visibilityState === "hidden") saver.leave();
  };
  const now = () => saver.saveNow();
  document.addEventListener("visibilitychange", leave);
  window.addEventListener("online", now);
  window.addEventListener(SAVE_NOW, now);
  return () => {
    leaveDesk(store.getState().id, saver.stop());
    document.removeEventListener("visibilitychange", leave);
    window.removeEventListener("online", now);
    window.removeEventListener(SAVE_NOW, now);
  };
}

/** Saves without waiting for the change to rest. */
export function saveNow(): void {
  window.dispatchEvent(new Event(SAVE_NOW));
}
