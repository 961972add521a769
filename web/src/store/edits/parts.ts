import {
  forgetPart,
  LINE_DEFAULT,
  motifOf,
  newPart,
  type Design,
  type FieldTable,
  type FieldValue,
  type LineValue,
  type Motif,
  type Part,
  type StandsBy,
} from "@twin-petal/core";
import { castDraft, current, type Draft } from "immer";
import type { Edit } from "../edit";
import { besides } from "./besides";
import { dropEmptyGroups } from "./groups";
import { freshId, freshName } from "./freshId";
import { repeatedWhole } from "./repeatedWhole";
import { scaledDefaults } from "./scaledDefaults";

/** An edit of one part; nothing happens when it has gone. */
export function partEdit(id: string, label: string, change: (part: Draft<Part>) => void, gesture?: string): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture }),
    apply(draft) {
      const part = draft.parts.find((known) => known.id === id);
      if (part) change(part);
    },
  };
}

/** A new part on top, with a motif that suits the sheet's size; answers its id too. */
export function addPart(design: Design, kind: string): { edit: Edit; id: string } {
  const id = freshId(design, kind);
  const plain = newPart(id, freshName(design, kind.charAt(0).toUpperCase() + kind.slice(1)), motifFor(design, kind));
  const part = motifOf(kind)?.open ? { ...plain, finish: { ...plain.finish, fill: null, line: OPEN_LINE } } : plain;
  return { id, edit: { label: `add a ${kind}`, apply: (draft) => void draft.parts.push(castDraft(part)) } };
}

/** A line has nothing to fill; it is drawn. */
export const OPEN_LINE: LineValue = { ...LINE_DEFAULT, width: 0.8 };

export function motifFor(design: Design, kind: string): Motif {
  return { kind, ...scaledDefaults(design, motifOf(kind)?.fields ?? {}) };
}

/** Makes the motif another kind: where it stands stays, and so do lengths that both kinds have, with their formulas. */
export function changeMotif(design: Design, id: string, kind: string): Edit {
  const plain = motifFor(design, kind);
  return partEdit(id, `make the motif a ${kind}`, (part) => {
    const { at } = part.motif;
    const motif = { ...plain, ...sharedLengths(current(part.motif), kind) };
    part.motif = at ? { ...castDraft(motif), at } : castDraft(motif);
  });
}

/** What a motif says of lengths that another kind has too. */
function sharedLengths(motif: Motif, kind: string): Record<string, FieldValue> {
  const [from, to] = [motifOf(motif.kind)?.fields ?? {}, motifOf(kind)?.fields ?? {}];
  const isLength = (fields: FieldTable, name: string) => {
    const field = fields[name];
    return field?.type === "number" && field.quantity === "length";
  };
  return Object.fromEntries(
    Object.entries(motif).flatMap(([name, value]) =>
      (typeof value === "number" || typeof value === "string") && isLength(from, name) && isLength(to, name)
        ? [[name, value]]
        : [],
    ),
  );
}

/** What of a motif stands at its place; `words` say it. */
export function standBy(id: string, standsBy: StandsBy, words: string): Edit {
  return partEdit(id, `stand the motif ${words}`, (part) => {
    part.standsBy = standsBy;
  });
}

/** Whether copies that only repeat another are left out. */
export function keepOneOfEach(id: string, oneEach: boolean): Edit {
  return partEdit(id, oneEach ? "keep one of each" : "keep all copies", (part) => {
    part.oneEach = oneEach;
  });
}

/** A new part above another whose motif is that one whole; the other is only a tool from then on. */
export function repeatWhole(design: Design, { id: used, name }: Part): { edit: Edit; id: string } {
  return repeatedWhole(design, used, name, (draft) => {
    const index = draft.parts.findIndex((known) => known.id === used);
    const source = draft.parts[index];
    if (source) source.role = "tool";
    return index;
  });
}

/** Names of the parts that another one cuts, keeps or is joined with. */
export function limitedBy({ parts }: Design, id: string): string[] {
  return parts
    .filter(({ join }) => join.inside === id || join.cutBy.includes(id) || join.with.includes(id))
    .map(({ name }) => `“${name}”`);
}

export function removePart(design: Design, { id, name }: Part): Edit {
  const limited = limitedBy(design, id);
  return {
    label: limited.length > 0 ? `remove “${name}”, which cut or kept ${limited.join(", ")}` : `remove “${name}”`,
    apply(draft) {
      draft.parts = draft.parts.filter((part) => part.id !== id);
      Object.assign(draft, castDraft(forgetPart(current(draft), id)));
      dropEmptyGroups(draft);
    },
  };
}

/** A part once more above itself, a little beside. */
export function duplicatePart(design: Design, part: Part): { edit: Edit; id: string } {
  const id = freshId(design, part.id);
  const copy = { ...part, id, name: freshName(design, `${part.name}, a copy`), at: besides(design, part.at) };
  const label = `duplicate “${part.name}”`;
  return {
    id,
    edit: {
      label,
      apply(draft) {
        const index = draft.parts.findIndex((known) => known.id === part.id);
        draft.parts.splice(index + 1, 0, castDraft(copy));
      },
    },
  };
}

/** Moves a part to another place in the stack; 0 is the bottom. */
export function movePart({ id, name }: Part, to: number): Edit {
  return {
    label: `move “${name}”`,
    apply(draft) {
      const from = draft.parts.findIndex((part) => part.id === id);
      const [part] = from < 0 ? [] : draft.parts.splice(from, 1);
      if (part) draft.parts.splice(to, 0, part);
    },
  };
}
