import type { Design, Point, ShelfPiece } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { pasteParts, pastePiece } from "./pasteParts";

/** One way a piece of the shelf comes into a design. */
export interface TakingWay {
  readonly name: string;
  /** What becomes of the design by it, in a few words. */
  readonly promise: string;
  readonly edit: Edit;
  /** The part that is chosen then; null leaves it as it is. */
  readonly chosen: string | null;
}

/** Where a piece is let go: on a part, at a place of the sheet (millimetres), or both. */
export interface Landing {
  readonly part: string | null;
  readonly at: Point | null;
}

const MIDDLE: Point = { x: 0, y: 0 };

/** The ways a piece can come into a design, the likeliest first; or why it cannot. */
export function takingWays(
  design: Design,
  piece: ShelfPiece,
  landing: Landing,
): readonly TakingWay[] | { readonly trouble: string } {
  const ways = WAYS[piece.kind](design, piece.design, landing);
  const [first] = ways;
  if (!first) return { trouble: "choose a part first: rules are put on one" };
  if ("trouble" in first) return first;
  return ways.flatMap((way) => ("trouble" in way ? [] : [way]));
}

type Way = TakingWay | { readonly trouble: string };

const WAYS: Readonly<Record<ShelfPiece["kind"], (design: Design, from: Design, landing: Landing) => readonly Way[]>> = {
  motif: motifWays,
  rules: ruleWays,
  palette: paletteWays,
};

function motifWays(design: Design, from: Design, { part, at }: Landing): readonly Way[] {
  const pasted = pasteParts(design, from, at ?? MIDDLE);
  const label = `take “${from.name}” from the shelf`;
  const whole: Way =
    "trouble" in pasted
      ? pasted
      : {
          name: "as a part of its own",
          promise: "on top, with its rules and finish",
          edit: { ...pasted.edit, label },
          chosen: pasted.id,
        };
  if (part === null) return [whole];
  const onto = (piece: "motif" | "rules" | "finish", promise: string) =>
    wayOf(pastePiece(design, from, part, piece), `only its ${piece}`, promise, `take the ${piece} of “${from.name}”`);
  const rules = (from.parts.at(-1)?.rules.length ?? 0) > 0;
  return [
    onto("motif", "in the place of this part’s motif"),
    ...(rules ? [onto("rules", "in the place of this part’s rules")] : []),
    onto("finish", "in the place of this part’s finish"),
    whole,
  ];
}

function ruleWays(design: Design, from: Design, { part }: Landing): readonly Way[] {
  const target = design.parts.find(({ id }) => id === part);
  if (!target) return [];
  const label = `take “${from.name}” from the shelf`;
  const instead = wayOf(
    pastePiece(design, from, target.id, "rules"),
    target.rules.length > 0 ? "in place of its rules" : "as its rules",
    `on “${target.name}”`,
    label,
  );
  if (target.rules.length === 0) return [instead];
  const after = pastePiece(design, from, target.id, "rules", true);
  return [instead, wayOf(after, "after its rules", "the whole repeated once more", label)];
}

function wayOf(edit: Edit | { readonly trouble: string }, name: string, promise: string, label: string): Way {
  return "trouble" in edit ? edit : { name, promise, edit: { ...edit, label }, chosen: null };
}

function paletteWays(design: Design, from: Design): readonly Way[] {
  const added = pasteParts(design, { ...from, parts: [] });
  const label = `take “${from.name}” from the shelf`;
  const add: Way =
    "trouble" in added
      ? added
      : {
          name: "beside the own colours",
          promise: "nothing changes yet",
          edit: { ...added.edit, label },
          chosen: null,
        };
  return design.palette.length === 0 ? [add] : [recoloured(from, label), add];
}

/** Every own colour keeps its name and becomes the next one of the palette, from the first again when that is used up. */
function recoloured({ palette }: Design, label: string): TakingWay {
  const apply: Edit["apply"] = (draft) => {
    draft.palette.forEach((own, index) => {
      const next = palette[index % palette.length];
      if (next) own.color = castDraft(next.color);
    });
  };
  return { name: "in their place", promise: "colour by colour, names stay", edit: { label, apply }, chosen: null };
}
