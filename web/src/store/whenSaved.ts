import type { DeskStore } from "./deskStore";
import { saveNow } from "./saving";

/** Has the design saved at once; answers the revision it then is, or fails with the reason it could not be. */
export function whenSaved(store: DeskStore): Promise<number> {
  saveNow();
  return new Promise((resolve, reject) => {
    const settle = ({ saveState, revision }: ReturnType<DeskStore["getState"]>) => {
      if (saveState.kind === "saved") resolve(revision);
      else if (saveState.kind === "failed") reject(new Error(`The design could not be saved: ${saveState.reason}`));
      else if (saveState.kind === "conflict") reject(new Error("Another window has saved meanwhile: choose first."));
      else return false;
      return true;
    };
    if (settle(store.getState())) return;
    const stop = store.subscribe((state) => {
      if (settle(state)) stop();
    });
  });
}
