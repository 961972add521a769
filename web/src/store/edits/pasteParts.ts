import { bundleOf, newPart, takeIn, tidy, type Design, type Part, type Point } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { besides } from "./besides";

/**
 * The parts of another design on top of one's own; the topmost is answered. It lands at a place of the sheet (millimetres), or
 * where it stood: what came from here beside itself.
 */
export function pasteParts(
  design: Design,
  from: Design,
  to: Point | null = null,
): { readonly edit: Edit; readonly id: string | null } | { readonly trouble: string } {
  const taken = takeIn(design, from);
  if ("trouble" in taken) return taken;
  const id = taken.parts.at(-1) ?? null;
  const source = from.parts.at(-1);
  const isOwn = design.parts.some((part) => part.id === source?.id);
  const landed = (part: Part): Part => {
    if (part.id !== id) return part;
    if (to) return { ...part, at: { ...part.at, x: tidy(to.x), y: tidy(to.y) } };
    return isOwn ? { ...part, at: besides(design, part.at) } : part;
  };
  const parts = taken.design.parts.map(landed);
  const label = source && from.parts.length === 1 ? `paste “${source.name}”` : `paste ${from.parts.length} parts`;
  return { id, edit: { label, apply: (draft) => void Object.assign(draft, castDraft({ ...taken.design, parts })) } };
}

/** What of a part can be pasted onto another one. */
export type PartPiece = "motif" | "rules" | "finish";

/** What of a part a piece is. */
const PIECES: Readonly<Record<PartPiece, (part: Part) => Partial<Part>>> = {
  motif: ({ motif, cutouts, standsBy }) => ({ motif, cutouts, standsBy }),
  rules: ({ rules }) => ({ rules }),
  finish: ({ finish }) => ({ finish }),
};

/**
 * A piece of the topmost part of another design in the place of a part's own; or rules after its own. What it needs comes along:
 * numbers and colours under names of their own, and the parts that motifs and rules follow.
 */
export function pastePiece(
  design: Design,
  from: Design,
  target: string,
  piece: PartPiece,
  rulesAfter = false,
): Edit | { readonly trouble: string } {
  const whole = from.parts.at(-1);
  if (!whole) return { trouble: "there is no part in it" };
  // Only what the piece itself needs comes along.
  const bare = { ...newPart(whole.id, whole.name, { kind: "disc" }), ...PIECES[piece](whole) };
  const others = from.parts.slice(0, -1);
  const taken = takeIn(design, bundleOf({ ...from, parts: [...others, bare] }, [whole.id], from.name));
  if ("trouble" in taken) return taken;
  const source = taken.design.parts.at(-1);
  const needed = piece === "finish" ? [] : taken.parts.slice(0, -1);
  const isOwn = new Set(design.parts.map(({ id }) => id));
  const onto = (part: Part): Part => {
    if (!source || part.id !== target) return part;
    return rulesAfter ? { ...part, rules: [...part.rules, ...source.rules] } : { ...part, ...PIECES[piece](source) };
  };
  const parts = taken.design.parts.filter(({ id }) => isOwn.has(id) || needed.includes(id)).map(onto);
  return {
    label: `paste the ${piece} of “${whole.name}”`,
    apply: (draft) => void Object.assign(draft, castDraft({ ...taken.design, parts })),
  };
}
