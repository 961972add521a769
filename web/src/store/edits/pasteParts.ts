import { takeIn, type Design } from "@twin-petal/core";
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
