import { colorsOfFill, type ColorValue, type Join, type Part } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

export function setJoin(part: string, change: Partial<Join>, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      draft.join = castDraft({ ...draft.join, ...change });
    },
    gesture && `${part}/join/${gesture}`,
  );
}

/** Lets one part cut another or keep it; what only cuts or keeps is no longer made by itself. */
export function limitBy(part: string, limiter: string, change: Partial<Join>, label: string): Edit {
  const set = setJoin(part, change, label);
  return {
    label,
    apply(draft) {
      set.apply(draft);
      const other = draft.parts.find(({ id }) => id === limiter);
      if (other?.role === "show") other.role = "tool";
    },
  };
}

/** Turns one crossing of a weave over, or back. */
export function flipCrossing(part: string, key: string, flipped: boolean): Edit {
  return partEdit(part, flipped ? "turn a crossing back" : "turn a crossing over", ({ join }) => {
    join.flipped = flipped ? join.flipped.filter((known) => known !== key) : [...join.flipped, key];
  });
}

/** Paints all faces whose colour goes by the same number; the others keep the colours they show. */
export function paintFaces(
  { id, join, finish }: Part,
  { color, colors }: { readonly color: number; readonly colors: number },
  brush: ColorValue | null,
): Edit {
  const shown = join.colors.length > 0 ? join.colors : colorsOfFill(finish.fill);
  return partEdit(id, "paint an orbit of faces", (draft) => {
    draft.join.colors = castDraft(
      Array.from({ length: Math.max(colors, shown.length) }, (_, number) =>
        number === color ? brush : (shown[number % Math.max(1, shown.length)] ?? null),
      ),
    );
  });
}

/** Paints one face alone. */
export function paintFace(part: string, face: string, color: ColorValue | null): Edit {
  return partEdit(part, "paint one face", ({ join }) => {
    join.own = [...join.own.filter((known) => known.face !== face), { face, color }];
  });
}
