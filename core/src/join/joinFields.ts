import { choice } from "../fields/choice";
import type { FieldTable, ResolvedOf, StoredOf } from "../fields/field";
import { list } from "../fields/list";
import { MOST_JOINED } from "../fields/most";
import { nullable } from "../fields/nullable";
import { partName } from "../fields/partName";
import { record } from "../fields/record";
import { isRecord } from "../fields/stored";
import { toggle } from "../fields/toggle";
import { JOIN_MODES, JOINS } from "./list";
import { OFFSET } from "./offsetFields";

/** The fields of all joins together: the keys of each union member become one table. */
type OwnFields = Together<(typeof JOINS)[number]["fields"]>;
type Together<U> = (U extends unknown ? (member: U) => void : never) extends (all: infer I) => void ? I : never;

/** How a part's copies combine: which way, what limits them, and what each way has of its own. */
export const JOIN = record({
  mode: choice(JOIN_MODES, "apart"),
  /** The parts whose areas are joined with the copies, where the way to join makes one of several. */
  with: list(partName(""), { most: MOST_JOINED }),
  /** The parts whose areas are taken away. */
  cutBy: list(partName(""), { most: MOST_JOINED }),
  /** The part whose area keeps what is in it, or "sheet". */
  inside: nullable(partName("")),
  /** Whether the motif is kept within the wedge that one fold of the rules owns. */
  trimToWedge: toggle(false),
  /** Whether stretches that lie on each other are drawn once. */
  dropDoubled: toggle(false),
  ...ownFields(),
  offset: nullable(OFFSET),
});

function ownFields(): OwnFields {
  const table: FieldTable = Object.fromEntries(
    JOINS.flatMap(({ fields }) => Object.entries<FieldTable[string]>(fields)),
  );
  if (!isTogether(table)) throw new Error("there are no joins");
  return table;
}

/** Every join's fields have been entered under their own names. */
function isTogether(table: object): table is FieldTable & OwnFields {
  return isRecord(table);
}

/** A join as a design holds it. */
export type Join = StoredOf<typeof JOIN.fields>;
/** How a part's copies combine, with numbers and colours known. */
export type ResolvedJoin = ResolvedOf<typeof JOIN.fields>;
/** The join of a part that says nothing of it. */
export const JOIN_DEFAULT: Join = JOIN.complete({});
