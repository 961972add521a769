import { drawnOfPath, toDrawnValues, type Design, type DrawnPath, type Motif, type Path } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { freshId } from "./freshId";
import { partEdit } from "./parts";
import { newPart } from "@twin-petal/core";

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

/** Makes a motif plain: its outline becomes nodes that can be edited one by one. Cutouts are drawn with it. */
export function bakeMotif(part: string, outline: Path): Edit {
  return partEdit(part, "bake the motif into nodes", (draft) => {
    draft.motif = castDraft(drawnMotif(drawnOfPath(outline)));
    draft.cutouts = [];
  });
}

export function drawnMotif(paths: readonly DrawnPath[]): Motif {
  return { kind: "drawn", paths: toDrawnValues(paths) };
}

/** A new part on top, with a motif made by hand; answers its id too. */
export function addMadePart(design: Design, motif: Motif, name: string, lined: boolean): { edit: Edit; id: string } {
  const id = freshId(design, motif.kind);
  const plain = newPart(id, name, motif);
  const part = lined ? { ...plain, finish: { ...plain.finish, fill: null, line: LINED } } : plain;
  return { id, edit: { label: `add ${name}`, apply: (draft) => void draft.parts.push(castDraft(part)) } };
}

const LINED = { width: 0.6, paint: "#2B2140", cap: "round", join: "round", dash: [] } as const;
