import { CUT_DEFAULT, NOT_CUT, type BridgePlace, type CutValue, type Part } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

/** How a part is cut that says nothing of it: through. */
export const cutValueOf = ({ cut }: Pick<Part, "cut">): CutValue | typeof NOT_CUT => cut ?? CUT_DEFAULT;

/** Changes how a part is cut. */
export function changeCut(part: string, change: Partial<CutValue>, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const before = draft.cut && draft.cut !== NOT_CUT ? draft.cut : CUT_DEFAULT;
      draft.cut = castDraft({ ...before, ...change });
    },
    gesture && `${part}/cut/${gesture}`,
  );
}

/** Says nothing of how a part is cut: it is cut through, or as what it repeats whole is cut. */
export function cutAsItComes(part: string): Edit {
  return partEdit(part, "cut it as it comes", (draft) => {
    draft.cut = null;
  });
}

/** Leaves a part alone. */
export function leaveUncut(part: string): Edit {
  return partEdit(part, "leave it uncut", (draft) => {
    draft.cut = NOT_CUT;
  });
}

/** Sets bridges where they are wanted, each on the outline of its part. */
export function addBridges(places: readonly BridgePlace[], label: string): Edit {
  return {
    label,
    apply(draft) {
      for (const { part, at } of places) {
        const own = draft.parts.find(({ id }) => id === part);
        if (!own || own.cut === NOT_CUT) continue;
        const before = own.cut ?? CUT_DEFAULT;
        const rounded = { x: Number(at.x.toFixed(3)), y: Number(at.y.toFixed(3)) };
        own.cut = castDraft({ ...before, bridges: { ...before.bridges, at: [...before.bridges.at, rounded] } });
      }
    },
  };
}

/** Takes away every bridge of a part that was set by hand. */
export function dropBridges(part: string, bridges: CutValue["bridges"]): Edit {
  return changeCut(part, { bridges: { ...bridges, at: [] } }, "take away bridges set by hand");
}
