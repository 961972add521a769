import { unwaited } from "@/api/unwaited";
import { expose } from "comlink";

/** What a worker says first: the name of the lock it holds for as long as it lives. */
export interface SignOfLife {
  readonly alive: string;
}

/** Serves an object's methods to the page that started this worker, and lets it notice when the worker has ended. */
export function serve(work: object): void {
  const alive = `twin-petal/worker/${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;
  // Pages that are not served safely have no locks: there nobody notices.
  if ("locks" in navigator) {
    unwaited(
      navigator.locks.request(alive, () => {
        const sign: SignOfLife = { alive };
        self.postMessage(sign);
        // It is never let go of: the browser does that when the worker ends, however it ends.
        return new Promise<void>(() => undefined);
      }),
    );
  }
  expose(work);
}
