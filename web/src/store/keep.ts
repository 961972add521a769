import { get, set } from "idb-keyval";
import type { History } from "./history";

/** What the browser keeps of a design, so that no change is lost before the server has it. */
export interface Kept {
  readonly history: History;
  /** The server's revision it builds on. */
  readonly revision: number;
  /** Whether the server has it. */
  readonly saved: boolean;
}

const key = (id: string) => `design:${id}`;

/** Keeps a design in the browser; answers whether it could: a full disk and private windows refuse. */
export function keep(id: string, kept: Kept): Promise<boolean> {
  return set(key(id), kept).then(
    () => true,
    () => false,
  );
}

/** What the browser has kept of a design; undefined where there is nothing, or it keeps nothing. */
export function readKept(id: string): Promise<Kept | undefined> {
  return get<Kept>(key(id)).catch(() => undefined);
}
