import type { Design } from "@twin-petal/core";
import { del, entries, set } from "idb-keyval";
import type { History } from "./history";
import { isOpenWindow, ownWindow } from "./ownWindow";

/** What the browser keeps of a design, so that no change is lost before the server has it. */
export interface Kept {
  readonly history: History;
  /** The server's revision it builds on. */
  readonly revision: number;
  /** Whether the server has it. */
  readonly saved: boolean;
  /** States that were sent and not answered: the server may have come to one of them. */
  readonly unanswered?: readonly Design[];
}

/** The same as it lies in the browser's store: each window keeps its own. */
interface KeptThere extends Kept {
  /** When it was kept, milliseconds since 1970. */
  readonly at: number;
}

/** Before windows kept their own there was one for each design. */
const keyOf = (id: string, window: string) => (window === "" ? `design:${id}` : `design:${id}:${window}`);

/** Keeps a design for this window; answers whether it could: a full disk and private windows refuse. */
export async function keep(id: string, kept: Kept): Promise<boolean> {
  try {
    const there: KeptThere = { ...kept, at: Date.now() };
    await set(keyOf(id, await ownWindow()), there);
    return true;
  } catch {
    return false;
  }
}

/**
 * What the browser has kept of a design for this window: its own, or what a window that is gone has left behind, first of all what
 * the server does not have. It is this window's from then on. Undefined where there is nothing, or nothing can be kept.
 */
export async function readKept(id: string): Promise<Kept | undefined> {
  try {
    const own = await ownWindow();
    const all = await keptOf(id);
    const mine = all.find(({ window }) => window === own);
    if (mine && !mine.kept.saved) return mine.kept;
    const left: typeof all = [];
    for (const one of all) if (one.window !== own && !(await isOpenWindow(one.window))) left.push(one);
    const [unsaved, latest] = [left.find(({ kept }) => !kept.saved), left[0]];
    const taken = unsaved ?? (mine ? undefined : latest);
    // What is saved is only a way back: one of them is enough.
    for (const { key, kept } of left) if (kept.saved && key !== taken?.key) await del(key);
    if (!taken) return mine?.kept;
    await set(keyOf(id, own), taken.kept);
    await del(taken.key);
    return taken.kept;
  } catch {
    return undefined;
  }
}

interface Entry {
  readonly key: IDBValidKey;
  /** Which window kept it; empty for one of before. */
  readonly window: string;
  readonly kept: KeptThere;
}

/** Everything that is kept of a design, the latest first. */
async function keptOf(id: string): Promise<Entry[]> {
  const prefix = keyOf(id, "");
  const all = await entries<IDBValidKey, KeptThere>();
  return all
    .flatMap(([key, kept]): Entry[] => {
      if (key === prefix) return [{ key, window: "", kept }];
      const isOf = typeof key === "string" && key.startsWith(`${prefix}:`);
      return isOf ? [{ key, window: key.slice(prefix.length + 1), kept }] : [];
    })
    .sort((a, b) => (b.kept.at ?? 0) - (a.kept.at ?? 0));
}

/** What a window that is gone kept of a design. */
interface LeftBehind {
  readonly id: string;
  readonly kept: Kept;
  /** Notes that the server has it. */
  readonly markSaved: () => Promise<void>;
}

/** What of all designs the server does not have, and no open window is about to send. */
export async function leftBehind(): Promise<LeftBehind[]> {
  const left: LeftBehind[] = [];
  for (const [key, kept] of await entries<IDBValidKey, KeptThere>()) {
    const [, id, window = ""] = typeof key === "string" ? (/^design:([^:]+)(?::(.+))?$/.exec(key) ?? []) : [];
    if (id === undefined || kept.saved || (await isOpenWindow(window))) continue;
    left.push({ id, kept, markSaved: () => set(key, { ...kept, saved: true }) });
  }
  return left;
}
