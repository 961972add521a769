import { PLACE_DEFAULT, type Motif, type Part, type PlaceValue } from "@twin-petal/core";
import { castDraft, type Draft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";
import { membersIn, motifIn, type FieldOwner } from "./owners";

/** A motif within a motif: cut from it, combined in it, or what a rule leads to. */
export type NestedOwner = Extract<FieldOwner, { cutout: number } | { member: number } | { to: number }>;
/** Which list of motifs within a part: those cut from its motif, or those combined in it. */
export type NestedList = "cutouts" | "members";

function listIn(part: Draft<Part>, list: NestedList): Draft<Motif>[] {
  return list === "cutouts" ? part.cutouts : membersIn(part.motif);
}

function nestedIn(part: Draft<Part>, owner: FieldOwner): Draft<Motif> | undefined {
  return typeof owner === "object" && !("rule" in owner) ? motifIn(part, owner) : undefined;
}

/** Sets where a nested motif stands in the motif it belongs to; what is at its default is left out. */
export function setNestedPlace(
  part: string,
  owner: FieldOwner,
  change: Partial<PlaceValue>,
  label: string,
  gesture?: string,
): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const motif = nestedIn(draft, owner);
      if (!motif) return;
      const place: Partial<PlaceValue> = { ...motif.at, ...change };
      const kept = Object.entries(place).filter(([key, value]) => value !== Reflect.get(PLACE_DEFAULT, key));
      if (kept.length > 0) motif.at = Object.fromEntries(kept);
      else delete motif.at;
    },
    gesture && `${part}/place/${gesture}`,
  );
}

export function addNested(part: string, list: NestedList, motif: Motif): Edit {
  return partEdit(part, list === "cutouts" ? `cut a ${motif.kind} out` : `add a ${motif.kind}`, (draft) => {
    listIn(draft, list).push(castDraft(motif));
  });
}

export function removeNested(part: string, list: NestedList, index: number): Edit {
  return partEdit(part, list === "cutouts" ? "remove a cutout" : "remove a shape", (draft) => {
    listIn(draft, list).splice(index, 1);
  });
}

/** The same shape once more, a little aside. */
export function stampAgain(part: string, list: NestedList, index: number, aside: number): Edit {
  return partEdit(part, "stamp it again", (draft) => {
    const motifs = listIn(draft, list);
    const motif = motifs[index];
    if (!motif) return;
    const x = typeof motif.at?.x === "number" ? motif.at.x : 0;
    motifs.splice(index + 1, 0, { ...motif, at: { ...motif.at, x: x + aside } });
  });
}

/** Swaps a nested motif for one of another kind, at the same place. */
export function changeNested(part: string, owner: FieldOwner, motif: Motif): Edit {
  return partEdit(part, `make it a ${motif.kind}`, (draft) => {
    const known = nestedIn(draft, owner);
    if (!known || typeof owner !== "object" || "rule" in owner) return;
    const next = castDraft(known.at ? { ...motif, at: known.at } : motif);
    if ("to" in owner) {
      const rule = draft.rules[owner.to];
      if (rule) rule.to = next;
    } else if ("cutout" in owner) listIn(draft, "cutouts")[owner.cutout] = next;
    else listIn(draft, "members")[owner.member] = next;
  });
}

/** Makes the motif the first of several that are combined; its place becomes the whole's. */
export function combineWith(part: string, motif: Motif): Edit {
  return partEdit(part, `combine with a ${motif.kind}`, (draft) => {
    const { at, ...own } = draft.motif;
    const whole: Motif = { kind: "compound", op: "union", of: [{ ...own, kind: own.kind }, motif], ...(at && { at }) };
    draft.motif = castDraft(whole);
  });
}

/** Goes back to the first of the combined motifs alone. */
export function takeApart(part: string): Edit {
  return partEdit(part, "take the shapes apart", (draft) => {
    const [first] = listIn(draft, "members");
    if (!first) return;
    const at = { ...draft.motif.at, ...first.at };
    draft.motif = { ...first, ...(Object.keys(at).length > 0 && { at }) };
  });
}
