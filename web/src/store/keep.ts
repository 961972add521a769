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

/** A browser that keeps nothing, as in private windows, loses only undo across reloads. */
const silently = () => undefined;

export function keep(id: string, kept: Kept): Promise<void> {
  return set(key(id), kept).catch(silently);
}

export function readKept(id: string): Promise<Kept | undefined> {
  return get<Kept>(key(id)).catch(silently);
}
