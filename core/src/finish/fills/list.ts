import { byKind } from "../../fields/byKind";
import { cycle } from "./cycle";
import type { FillDefinition } from "./definition";
import { linear } from "./linear";
import { pools } from "./pools";
import { radial } from "./radial";
import { ramp } from "./ramp";

/** Every kind of fill of several colours, in the order they are offered. */
export const FILLS = [cycle, ramp, linear, radial, pools] as const;

/** The same by name. */
export const FILL = byKind(FILLS);

/** The kind of a fill of several colours. */
export type FillKind = (typeof FILLS)[number]["kind"];

const known: ReadonlyMap<string, FillDefinition> = new Map(FILLS.map((definition) => [definition.kind, definition]));

/** The definition of a kind; undefined for a kind there is none of. */
export function fillOf(kind: string): FillDefinition | undefined {
  return known.get(kind);
}
