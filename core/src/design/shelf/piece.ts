import type { Problem } from "../../formula/problem";
import { LINE_DEFAULT } from "../../finish/line/lineFields";
import { emptyDesign, type Design } from "../design";
import { bundleOf } from "../names";
import { newPart } from "../partFields";

/** What can be put on the shelf: a part with its rules and finish, a stack of rules, a palette. */
export const SHELF_KINDS = ["motif", "rules", "palette"] as const;

/** Which of its siblings a piece on the shelf is. */
export type ShelfKind = (typeof SHELF_KINDS)[number];

/** Something on the shelf: a design of its own that holds it with all it needs, and is called as it is. */
export interface ShelfPiece {
  /** Which of its siblings it is. */
  readonly kind: ShelfKind;
  /** Its topmost part is the motif, or has the rules; its palette is the palette. */
  readonly design: Design;
}

/** Whether a word names a kind of piece. */
export function isShelfKind(word: unknown): word is ShelfKind {
  return SHELF_KINDS.some((kind) => kind === word);
}

/**
 * A piece taken out of a design, with the numbers, the colours and the followed parts it needs; null where the design has no
 * such thing. A palette is of the whole design: no part is asked for.
 */
export function shelfPieceOf(design: Design, kind: ShelfKind, partId: string | null): ShelfPiece | null {
  const own = designOf(design, kind, partId);
  return own && pieceTrouble(kind, own) === null ? { kind, design: own } : null;
}

function designOf(design: Design, kind: ShelfKind, partId: string | null): Design | null {
  if (kind === "palette") return { ...emptyDesign(design.name), palette: design.palette };
  const part = design.parts.find(({ id }) => id === partId);
  if (!part) return null;
  if (kind === "motif") return inFront(bundleOf(design, [part.id], part.name), part.id);
  // The motif stays as a line, so that there is something to see of the rules; nothing else of the part does.
  const { id, name, motif, standsBy, rules, oneEach } = part;
  const plain = newPart(id, name, motif);
  const bare = { ...plain, standsBy, rules, oneEach, finish: { ...plain.finish, fill: null, line: LINE_DEFAULT } };
  const parts = design.parts.map((own) => (own.id === id ? bare : own));
  return inFront(bundleOf({ ...design, parts }, [id], name), id);
}

/** The design with one part on top: what a piece is about comes last, whatever it follows. */
function inFront(design: Design, id: string): Design {
  const isIt = (part: { readonly id: string }) => part.id === id;
  return { ...design, parts: [...design.parts.filter((part) => !isIt(part)), ...design.parts.filter(isIt)] };
}

/** What keeps a design from being a piece of a kind, at its path; null where it is one. */
export function pieceTrouble(kind: ShelfKind, design: Design): Problem | null {
  const top = design.parts.at(-1);
  if (kind === "palette") {
    return design.palette.length > 0
      ? null
      : { path: "palette", message: "holds no colour; a palette has one at least" };
  }
  if (!top) return { path: "parts", message: "holds no part; what is put on the shelf is the topmost one" };
  if (kind === "motif" || top.rules.length > 0) return null;
  return {
    path: `parts[${design.parts.length - 1}].rules`,
    message: "holds no rule; a stack of rules has one at least",
  };
}
