import { byKind } from "../fields/byKind";
import { apart } from "./apart";
import type { JoinDefinition } from "./definition";
import { evenOdd } from "./evenOdd";
import { faces } from "./faces";
import { merge } from "./merge";
import { weave } from "./weave";

/** Every way in which copies combine, in the order they are offered. */
export const JOINS = [apart, merge, evenOdd, faces, weave] as const;

/** The same by name. */
export const JOIN_OF = byKind(JOINS);

/** The name of a way to join. */
export type JoinMode = (typeof JOINS)[number]["kind"];
/** How copies combine, by name. */
export const JOIN_MODES: readonly JoinMode[] = JOINS.map(({ kind }) => kind);

/** The definition of a way to combine. */
export function joinOf(mode: JoinMode): JoinDefinition {
  return JOIN_OF[mode];
}
