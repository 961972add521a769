import { string } from "yup";
import { choice } from "../fields/choice";
import type { StoredOf } from "../fields/field";
import { given } from "../fields/given";
import { LONGEST_NAME } from "../fields/most";
import { partName } from "../fields/partName";
import { record } from "../fields/record";
import { text } from "../fields/text";

/** What parts and groups may be called by in the file. */
export const ID = text("", 40, () =>
  string()
    .required()
    .matches(/^[a-z0-9-]{1,40}$/, "must be 1 to 40 of a–z, 0–9 and -"),
);

/** A group's parts are shown as they are, or are tools for what follows the group. */
const GROUP_ROLES = ["show", "tool"] as const;

/** Parts that belong together under a name; a part says itself which group it is in. */
export const GROUP = record({
  id: given(ID),
  name: text("", LONGEST_NAME),
  /** The group it is in; empty for none. */
  within: partName(""),
  role: choice(GROUP_ROLES, "show"),
});

/** A group as a design holds it. */
export type PartGroup = StoredOf<typeof GROUP.fields>;
