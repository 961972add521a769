import {
  apply,
  countPulled,
  directionOf,
  invert,
  placeOfCount,
  polar,
  type CountMark,
  type Part,
  type PlacedMark,
} from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { fieldWords } from "../fields/fieldWords";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";
import { usePulledFormula } from "./pulledFormula";

interface CountHandleProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: CountMark;
}

/** How many copies stand around a point: a drop that goes round it. */
export function CountHandle({ part, placed: { rule, toSheet }, mark }: CountHandleProps) {
  const edit = useDesk((state) => state.edit);
  const { nudge } = useLengthReadout();
  const pullFormula = usePulledFormula();
  const back = invert(toSheet);
  if (!back) return null;
  const { field, centre, count } = mark;
  const stored = part.rules[rule]?.[field];
  const place = placeOfCount(mark);
  const at = apply(toSheet, place);
  const ahead = apply(toSheet, polar(mark.reach, directionOf(centre, place) + 1, centre));
  const set = (next: number, gesture: string) => {
    const change = `${fieldWords(field)} → ${next}`;
    if (typeof stored === "string") return pullFormula(field, stored, next, change, gesture);
    edit(setField(part.id, { rule }, field, next, change, `${part.id}/${rule}/${field}/${gesture}`));
  };
  return (
    <Handle
      label={`${fieldWords(field)} of the ${part.rules[rule]?.kind ?? "rule"}`}
      at={at}
      readout={`${fieldWords(field)} ${count}`}
      nudge={nudge}
      onPull={(to, gesture) => set(countPulled(mark, apply(back, to)), gesture)}
      // The mark is as old as the last picture; keys may be quicker.
      onStep={(by, gesture) => set(Math.max(1, (typeof stored === "number" ? stored : count) + by), gesture)}
    >
      <DropMark turn={directionOf(at, ahead)} small />
    </Handle>
  );
}
