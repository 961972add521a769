import { choice } from "../fields/choice";
import type { FieldInfo, FieldOf, StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { list } from "../fields/list";
import { LONGEST_NAME, MOST_NESTED, MOST_RULES } from "../fields/most";
import { nullable } from "../fields/nullable";
import { partName } from "../fields/partName";
import { place, PLACE_DEFAULT } from "../fields/place";
import { record } from "../fields/record";
import { isRecord, type Motif } from "../fields/stored";
import { text } from "../fields/text";
import { toggle } from "../fields/toggle";
import { FINISH, FINISH_DEFAULT } from "../finish/finishFields";
import { SOLID } from "../form/solidFields";
import { JOIN, JOIN_DEFAULT } from "../join/joinFields";
import { STITCHING } from "../thread/stitchFields";
import { CUT } from "./cutFields";
import { ID } from "./groupFields";
import { motif } from "./motifField";
import { rule } from "./ruleField";

/** Parts are shown and made, or only seen on the desk, or only cut, keep and lead. */
const ROLES = ["show", "guide", "tool"] as const;
/** What a part is for. */
export type Role = (typeof ROLES)[number];

/** By what of its outline a motif stands at its place: its own origin, the middle of its lower side, its middle. */
export const STANDS_BY = ["own", "foot", "middle"] as const;
/** What a motif stands by. */
export type StandsBy = (typeof STANDS_BY)[number];

const PART = record({
  id: given(ID),
  name: text("", LONGEST_NAME),
  visible: toggle(true),
  locked: toggle(false),
  /** The group it is in; empty for none. */
  group: partName(""),
  role: choice(ROLES, "show"),
  /** Whether copies that only repeat another are left out. */
  oneEach: toggle(false),
  /** The whole part's place, last of all. */
  at: place,
  // What is missing is told with the kinds there are.
  motif: { ...given(motif), schema: motif.schema },
  /** By what the motif stands at its place. */
  standsBy: choice(STANDS_BY, "own"),
  /** Taken from the motif before any rule, in its own space. */
  cutouts: list(motif, { most: MOST_NESTED }),
  rules: list(rule, { most: MOST_RULES }),
  join: JOIN,
  finish: FINISH,
  /** How it is given height; null where it stays flat. */
  solid: nullable(SOLID),
  /** How it is cut; null where it is cut through. */
  cut: CUT,
  /** How it is sewn; null where its finish says so. */
  stitch: STITCHING,
});

/** A part as a design holds it. */
export type Part = StoredOf<typeof PART.fields>;

/** One motif with its rules, join and finish; called after its id where it has no name of its own. */
export const part: FieldInfo & FieldOf<ReturnType<typeof PART.resolve>, Part> = {
  ...PART,
  complete(stored) {
    const whole = PART.complete(stored);
    return isRecord(stored) && typeof stored.name === "string" ? whole : { ...whole, name: whole.id };
  },
  brief(stored) {
    const isNamed = isRecord(stored) && stored.name !== stored.id;
    return PART.brief(isNamed ? stored : { ...(isRecord(stored) && stored), name: "" });
  },
};

/** A part with one motif and nothing else set. */
export function newPart(id: string, name: string, motif: Motif): Part {
  return {
    id,
    name,
    visible: true,
    locked: false,
    group: "",
    role: "show",
    oneEach: false,
    at: PLACE_DEFAULT,
    motif,
    standsBy: "own",
    cutouts: [],
    rules: [],
    join: JOIN_DEFAULT,
    finish: FINISH_DEFAULT,
    solid: null,
    cut: null,
    stitch: null,
  };
}
