import {
  drawnOfPath,
  newPart,
  toDrawnValues,
  type Design,
  type DrawnPath,
  type Motif,
  type Path,
} from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { freshId, freshName } from "./freshId";
import { OPEN_LINE, partEdit } from "./parts";

/** Replaces the runs of a drawn motif. */
export function setDrawnPaths(part: string, paths: readonly DrawnPath[], label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    ({ motif }) => {
      if (motif.kind === "drawn") motif.paths = castDraft(toDrawnValues(paths));
    },
    gesture,
  );
}

/** Makes a motif plain: its outline, in its own space, becomes nodes that can be edited one by one. What is cut from it stays. */
export function bakeMotif(part: string, outline: Path): Edit {
  return partEdit(part, "bake the motif into nodes", (draft) => {
    const { at } = draft.motif;
    draft.motif = castDraft({ ...drawnMotif(drawnOfPath(outline)), ...(at && { at }) });
  });
}

export function drawnMotif(paths: readonly DrawnPath[]): Motif {
  return { kind: "drawn", paths: toDrawnValues(paths) };
}

/** A new part on top, with a motif made by hand; answers its id too. */
export function addMadePart(design: Design, motif: Motif, name: string, lined: boolean): { edit: Edit; id: string } {
  const id = freshId(design, motif.kind);
  const plain = newPart(id, freshName(design, name), motif);
  const part = lined ? { ...plain, finish: { ...plain.finish, fill: null, line: OPEN_LINE } } : plain;
  return { id, edit: { label: `add ${name}`, apply: (draft) => void draft.parts.push(castDraft(part)) } };
}
