import { unwaited } from "@/api/unwaited";
import { isSame, toFile, type Design } from "@twin-petal/core";
import { ApiError, messageOf } from "@/api/http";
import type { DeskStore, SaveState } from "./deskStore";
import { statesOf } from "./history";
import type { Kept } from "./keep";

/** A change rests this long before it is saved, milliseconds; a drag saves once, at its end … */
const REST = 500;
/** … unless it goes on for longer than this. */
const LONGEST = 5_000;
/** The browser keeps a change as it is made, but not more often than this … */
const KEEP_EVERY = 150;
/** … and of designs that are slow to keep less often: the hand is held up for a tenth of the time at most. */
const KEEP_SHARE = 10;
const KEEP_LONGEST = 1_000;
/** How long after a failure the next try comes. */
const RETRY = 4_000;
/** The same where the design is in the bin: somebody may bring it back. */
const RETRY_GONE = 15_000;
/** So many states that were sent and not answered are remembered. */
const MOST_UNANSWERED = 8;

/** Where designs go. */
interface SaverPlaces {
  /** Saves on top of a revision and answers the new one; `last` where the page is about to go. */
  send: (id: string, file: unknown, revision: number, last: boolean) => Promise<number>;
  /** Keeps a design in the browser; answers whether it could. */
  keep: (id: string, kept: Kept) => Promise<boolean>;
  /** The design file as the server has it, and its revision. */
  fetch: (id: string) => Promise<{ readonly file: unknown; readonly revision: number }>;
}

/**
 * Saves the design of a desk whenever it has changed and rested, and keeps every change in the browser until the server
 * has it. How that stands is the desk's `saveState`:
 *
 * - `saved`: the server has the design as it is;
 * - `changed`: it has changed, and will be saved once it rests;
 * - `saving`: it is on its way; what changes meanwhile is saved after it;
 * - `failed`: the last try failed. Where the server cannot be reached or is at fault, or the design is in the bin, it is tried
 *   again; what the server refuses waits for another change;
 * - `conflict`: someone else saved meanwhile; nothing is sent until a person has chosen. Where the server has one of the desk's own
 *   states, nobody else did: the answer to a save of its own never came.
 */
export class Saver {
  private saveTimer: Timer | undefined;
  private keepTimer: Timer | undefined;
  /** When the browser last kept the design, and how long that took, milliseconds. */
  private kept = { at: -Infinity, took: 0 };
  /** When the first change was made that is not saved yet. */
  private unsavedSince: number | null = null;
  /** The save that is on its way; null where none is. */
  private sending: Promise<void> | null = null;
  private isLeaving = false;
  /** States that were sent and not answered, the latest last. */
  private unanswered: readonly Design[] = [];
  /** The design the server is known to have; null where that is not known. */
  private saved: Design | null;
  private readonly stopWatching: () => void;

  constructor(
    private readonly store: DeskStore,
    private readonly places: SaverPlaces,
  ) {
    const { saveState, history } = store.getState();
    this.saved = saveState.kind === "saved" ? history.design : null;
    this.stopWatching = store.subscribe((state, before) => this.watch(state, before));
    if (this.saved === null) this.saveAfter(0);
  }

  /** Saves without waiting for the change to rest. */
  saveNow(): void {
    unwaited(this.save(false));
  }

  /** Keeps and saves what there is, as the page may be about to go. */
  leave(): void {
    unwaited(this.keepNow());
    unwaited(this.save(true));
  }

  /** Leaves the desk for good. Resolves once what was done on it is on the server, or could not be sent. */
  async stop(): Promise<void> {
    this.isLeaving = true;
    this.stopWatching();
    const kept = this.keepNow();
    // What was done while a save was on its way follows it at once.
    const sent = this.sending ? this.sending.then(() => this.save(true)) : this.save(true);
    await Promise.all([kept, sent]);
  }

  private watch(state: DeskStates, before: DeskStates): void {
    const chosen = before.saveState.kind === "conflict" && state.saveState.kind !== "conflict";
    if (chosen && state.saveState.kind === "saved") this.saved = state.history.design;
    if (state.history === before.history) {
      if (chosen && state.saveState.kind === "changed") this.saveAfter(0);
      return;
    }
    this.keepSoon();
    if (state.saveState.kind === "conflict") return;
    const isBack = state.history.design === this.saved;
    if (!this.sending) this.show({ kind: isBack ? "saved" : "changed" });
    if (isBack) {
      this.unsavedSince = null;
      return;
    }
    this.unsavedSince ??= Date.now();
    this.saveAfter(Math.min(REST, Math.max(0, this.unsavedSince + LONGEST - Date.now())));
  }

  private async save(last: boolean): Promise<void> {
    clearTimeout(this.saveTimer);
    const { history, saveState } = this.store.getState();
    if (this.sending || history.design === this.saved || saveState.kind === "conflict") return;
    this.sending = this.send(last);
    await this.sending;
  }

  private async send(last: boolean): Promise<void> {
    const { id, history, revision, setRevision } = this.store.getState();
    const { design } = history;
    const before = this.saved;
    // Until it is answered nobody knows which of both the server has.
    this.saved = null;
    this.unsavedSince = null;
    this.unanswered = [...this.unanswered, design].slice(-MOST_UNANSWERED);
    this.show({ kind: "saving" });
    try {
      const next = await this.places.send(id, toFile(design), revision, last);
      this.saved = design;
      this.unanswered = [];
      setRevision(next);
      const rested = this.store.getState().history.design === design;
      this.show({ kind: rested ? "saved" : "changed" });
      if (!rested) this.saveAfter(REST);
      this.sending = null;
      await this.keepNow();
    } catch (error) {
      const isOwn = isStale(error) && (await this.findsItsOwn().catch(() => false));
      if (isRefused(error) && !isOwn) this.saved = before;
      this.sending = null;
      if (isOwn) this.saveAfter(0);
      else await this.fail(error);
    }
  }

  /** Whether the server has one of this desk's own states, on which it goes on then. */
  private async findsItsOwn(): Promise<boolean> {
    const { id, history, setRevision } = this.store.getState();
    const { file, revision } = await this.places.fetch(id);
    const own = [...statesOf(history), ...this.unanswered].find((design) => isSame(toFile(design), file));
    if (!own) return false;
    if (own === history.design) this.saved = own;
    this.unanswered = [];
    setRevision(revision);
    this.show({ kind: own === this.store.getState().history.design ? "saved" : "changed" });
    return true;
  }

  /** Says what went wrong, and whether the browser has the change; tries again where that may help. */
  private async fail(error: unknown): Promise<void> {
    const kept = await this.keepNow();
    const { history } = this.store.getState();
    if (history.design === this.saved) return;
    this.show(failureOf(error, kept));
    const retry = retryAfter(error);
    if (retry !== null) this.saveAfter(retry);
  }

  /** Keeps the design at once, or as soon as it is its turn again. */
  private keepSoon(): void {
    const every = Math.min(KEEP_LONGEST, Math.max(KEEP_EVERY, KEEP_SHARE * this.kept.took));
    const wait = this.kept.at + every - Date.now();
    if (wait <= 0) return unwaited(this.keepNow());
    this.keepTimer ??= setTimeout(() => unwaited(this.keepNow()), wait);
  }

  private keepNow(): Promise<boolean> {
    clearTimeout(this.keepTimer);
    this.keepTimer = undefined;
    const { id, history, revision } = this.store.getState();
    const at = Date.now();
    const answer = this.places.keep(id, {
      history,
      revision,
      saved: history.design === this.saved,
      unanswered: this.unanswered,
    });
    this.kept = { at, took: Date.now() - at };
    return answer;
  }

  private saveAfter(rest: number): void {
    clearTimeout(this.saveTimer);
    if (this.isLeaving && rest > 0) return;
    this.saveTimer = setTimeout(() => this.saveNow(), rest);
  }

  private show(saveState: SaveState): void {
    this.store.getState().setSaveState(saveState);
  }
}

type Timer = ReturnType<typeof setTimeout>;
type DeskStates = ReturnType<DeskStore["getState"]>;

/** When the next try may help, milliseconds; null where only another change does. */
function retryAfter(error: unknown): number | null {
  if (!(error instanceof ApiError) || error.status === 0 || error.status >= 500) return RETRY;
  return error.status === 404 ? RETRY_GONE : null;
}

/** Whether the server has taken nothing. */
const isRefused = (error: unknown) => error instanceof ApiError && error.status >= 400 && error.status < 500;
const isStale = (error: unknown) => error instanceof ApiError && error.status === 412;

function failureOf(error: unknown, kept: boolean): SaveState {
  if (error instanceof ApiError && isStale(error) && error.details.revision !== undefined) {
    return { kind: "conflict", revision: error.details.revision };
  }
  const first = error instanceof ApiError ? error.details.errors?.[0] : undefined;
  return { kind: "failed", reason: first?.message ?? messageOf(error), path: first?.path ?? null, kept };
}
