import {
  scopeOf,
  valueOf,
  type Box,
  type FillValue,
  type Limits,
  type NumberValue,
  type Point,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setFinish } from "@/store/edits/finish";
import { useNumbers } from "../../../fields/useNumbers";
import { useLengthReadout } from "../../../stage/useLengthReadout";

/** What handles of a fill need: its numbers computed, and a way to store another fill. */
export function usePulledFill(part: string) {
  const { edit } = useEditing();
  const scope = scopeOf(useNumbers());
  const { nudge } = useLengthReadout();
  return {
    nudge,
    number: (stored: NumberValue, limits: Limits): number => {
      const outcome = valueOf(stored, limits, scope);
      return "value" in outcome ? outcome.value : 0;
    },
    set: (fill: FillValue, label: string, gesture: string) =>
      edit(setFinish(part, "fill", fill, label, `${part}/fill/${gesture}`)),
  };
}

/** A share, as a hand sets it. */
export const share = (value: number) => Number(value.toFixed(3));

/** A place of the box as shares of it. */
export function shareIn({ left, top, right, bottom }: Box, { x, y }: Point): Point {
  return { x: share((x - left) / Math.max(1e-9, right - left)), y: share((y - top) / Math.max(1e-9, bottom - top)) };
}

/** The place of the box at shares of it. */
export function placeIn({ left, top, right, bottom }: Box, { x, y }: Point): Point {
  return { x: left + x * (right - left), y: top + y * (bottom - top) };
}
