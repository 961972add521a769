import {
  JOIN_DEFAULT,
  motifOf,
  newPart,
  paletteReference,
  PLACE_DEFAULT,
  tidy,
  type Baked,
  type Box,
  type Design,
  type Motif,
  type Part,
} from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { freshId } from "./freshId";
import { movedPlace } from "./moved";
import { motifFor, partEdit } from "./parts";
import { scaledDefaults } from "./scaledDefaults";

/** Where a part can be set on the sheet: in its middle, or at the margin's edges. */
export const ALIGNMENTS = ["centre", "left", "right", "top", "bottom", "middle across", "middle down"] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

/** The sheet within its margin, millimetres about its middle. */
interface Frame {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
}

/** How far a box has to move to be aligned. */
function moveOf(alignment: Alignment, box: Box, { width, height, margin }: Frame): { x: number; y: number } {
  const middle = { x: -(box.left + box.right) / 2, y: -(box.top + box.bottom) / 2 };
  switch (alignment) {
    case "centre":
      return middle;
    case "middle across":
      return { x: middle.x, y: 0 };
    case "middle down":
      return { x: 0, y: middle.y };
    case "left":
      return { x: margin - width / 2 - box.left, y: 0 };
    case "right":
      return { x: width / 2 - margin - box.right, y: 0 };
    case "top":
      return { x: 0, y: margin - height / 2 - box.top };
    case "bottom":
      return { x: 0, y: height / 2 - margin - box.bottom };
  }
}

/** Sets a part whose painted box is known in the sheet's middle or at its edges. */
export function alignPart(part: Part, box: Box, alignment: Alignment, frame: Frame): Edit {
  const place = movedPlace(part.at, moveOf(alignment, box, frame));
  return partEdit(part.id, `align “${part.name}”: ${alignment}`, (draft) => {
    Object.assign(draft.at, place);
  });
}

/** Spreads parts evenly from margin to margin: the same gap between each two, in the order they stand in. */
export function spreadParts(
  parts: readonly { readonly part: Part; readonly box: Box }[],
  way: "across" | "down",
  { width, height, margin }: Frame,
): Edit {
  const [from, to] = way === "across" ? (["left", "right"] as const) : (["top", "bottom"] as const);
  const room = (way === "across" ? width : height) - 2 * margin;
  const sorted = [...parts].sort((a, b) => a.box[from] + a.box[to] - b.box[from] - b.box[to]);
  const taken = sorted.reduce((sum, { box }) => sum + box[to] - box[from], 0);
  const gap = (room - taken) / Math.max(1, sorted.length - 1);
  const places = new Map<string, Pick<Part["at"], "x" | "y">>();
  let next = -room / 2;
  for (const { part, box } of sorted) {
    const by = next - box[from];
    places.set(part.id, movedPlace(part.at, way === "across" ? { x: by, y: 0 } : { x: 0, y: by }));
    next += box[to] - box[from] + gap;
  }
  return {
    label: `spread ${sorted.length} parts ${way}`,
    apply(draft) {
      for (const part of draft.parts) Object.assign(part.at, places.get(part.id) ?? {});
    },
  };
}

/** A small disc in the middle of the sheet, on top. */
export function addCentrePiece(design: Design): { edit: Edit; id: string } {
  const disc = motifFor(design, "disc");
  const radius = typeof disc.radius === "number" ? tidy(disc.radius / 3) : 7;
  return addNamed(newPart(freshId(design, "centre"), "Centre piece", { kind: "disc", radius }));
}

/** Small stars scattered over the sheet, off every part that is shown, in sizes and turns of their own. */
export function addAccents(design: Design): { edit: Edit; id: string } {
  const others = design.parts.filter(({ role, visible }) => role === "show" && visible).map(({ id }) => id);
  const side = Math.min(
    ...[design.sheet.width, design.sheet.height].map((value) => (typeof value === "number" ? value : 200)),
  );
  const outer = tidy(side / 60);
  const star: Motif = {
    kind: "star",
    ...scaledDefaults(design, motifOf("star")?.fields ?? {}),
    points: 4,
    outer,
    inner: tidy(outer / 3),
  };
  const scatter = {
    kind: "scatter",
    on: true,
    region: "sheet",
    gap: tidy(side / 12),
    count: 60,
    turn: [0, 90],
    size: [0.6, 1.6],
    within: "whole",
    keeping: "whole",
    ...(others.length > 0 && { avoid: others }),
  };
  const plain = newPart(freshId(design, "accents"), "Accents", star);
  const colors = design.palette.slice(0, 3).map(({ name }) => paletteReference(name));
  const fill = colors.length > 1 ? ({ kind: "cycle", colors, by: "index" } as const) : plain.finish.fill;
  return addNamed({ ...plain, rules: [scatter], finish: { ...plain.finish, fill } });
}

function addNamed(part: Part): { edit: Edit; id: string } {
  return { id: part.id, edit: { label: `add ${part.name}`, apply: (draft) => void draft.parts.push(castDraft(part)) } };
}

/** A part's copies as one motif without rules, where they stood. */
export function bakePart(part: Part, { motif, hasOpacity }: Pick<Baked, "motif" | "hasOpacity">): Edit {
  return partEdit(part.id, `bake “${part.name}”`, (draft) => {
    draft.motif = castDraft(motif);
    draft.cutouts = [];
    draft.rules = [];
    draft.oneEach = false;
    draft.join = castDraft(JOIN_DEFAULT);
    if (hasOpacity) draft.finish.opacity = 1;
    draft.at = { ...PLACE_DEFAULT };
  });
}
