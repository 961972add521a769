import { bundleOf, newPart, takeIn, type Design } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { besides } from "./besides";

/** The parts of another design on top of one's own; the topmost is answered. What came from here lands beside itself. */
export function pasteParts(
  design: Design,
  from: Design,
): { readonly edit: Edit; readonly id: string | null } | { readonly trouble: string } {
  const taken = takeIn(design, from);
  if ("trouble" in taken) return taken;
  const id = taken.parts.at(-1) ?? null;
  const source = from.parts.at(-1);
  const isOwn = design.parts.some((part) => part.id === source?.id);
  const parts = taken.design.parts.map((part) =>
    part.id === id && isOwn ? { ...part, at: besides(design, part.at) } : part,
  );
  const label = source && from.parts.length === 1 ? `paste “${source.name}”` : `paste ${from.parts.length} parts`;
  return { id, edit: { label, apply: (draft) => void Object.assign(draft, castDraft({ ...taken.design, parts })) } };
}

/** What of a part can be pasted onto another one. */
export type PartPiece = "rules" | "finish";

/**
 * The rules, or the finish, of the topmost part of another design in the place of a part's own. What they need comes along: numbers
 * and colours under names of their own, and the parts that rules follow.
 */
export function pastePiece(
  design: Design,
  from: Design,
  target: string,
  piece: PartPiece,
): Edit | { readonly trouble: string } {
  const whole = from.parts.at(-1);
  if (!whole) return { trouble: "there is no part on the clipboard" };
  // Only what the piece itself needs comes along.
  const bare = { ...newPart(whole.id, whole.name, { kind: "disc" }), [piece]: whole[piece] };
  const others = from.parts.slice(0, -1);
  const taken = takeIn(design, bundleOf({ ...from, parts: [...others, bare] }, [whole.id], from.name));
  if ("trouble" in taken) return taken;
  const source = taken.design.parts.at(-1);
  const needed = piece === "rules" ? taken.parts.slice(0, -1) : [];
  const isOwn = new Set(design.parts.map(({ id }) => id));
  const parts = taken.design.parts
    .filter(({ id }) => isOwn.has(id) || needed.includes(id))
    .map((part) => (part.id === target ? { ...part, [piece]: source?.[piece] ?? part[piece] } : part));
  return {
    label: `paste the ${piece} of “${whole.name}”`,
    apply: (draft) => void Object.assign(draft, castDraft({ ...taken.design, parts })),
  };
}
