import { apply, directionOf, invert, polar, type Mark, type Part, type PlacedMark } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { fieldWords } from "../fields/fieldWords";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";
import { usePulledFormula } from "./pulledFormula";

interface DirectionHandleProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "direction" }>;
}

/** An angle about a point: a drop that goes round it. */
export function DirectionHandle({ part, placed: { rule, toSheet }, mark }: DirectionHandleProps) {
  const edit = useDesk((state) => state.edit);
  const { nudge } = useLengthReadout();
  const pullFormula = usePulledFormula();
  const back = invert(toSheet);
  if (!back) return null;
  const { field, centre, reach, degrees, from } = mark;
  const stored = part.rules[rule]?.[field];
  const present = degrees - from;
  const at = apply(toSheet, polar(reach, degrees, centre));
  const ahead = apply(toSheet, polar(reach, degrees + 1, centre));
  return (
    <Handle
      label={`${fieldWords(field)} of the ${part.rules[rule]?.kind ?? "rule"}`}
      at={at}
      readout={`${fieldWords(field)} ${Number(present.toFixed(2))}°`}
      nudge={nudge}
      onPull={(to, gesture) => {
        const seen = directionOf(centre, apply(back, to)) - from;
        const next = Number((seen + 360 * Math.round((present - seen) / 360)).toFixed(2));
        const change = `${fieldWords(field)} → ${next}°`;
        if (typeof stored === "string") return pullFormula(field, stored, next, change, gesture);
        edit(setField(part.id, { rule }, field, next, change, `${part.id}/${rule}/${field}/${gesture}`));
      }}
    >
      <DropMark turn={directionOf(at, ahead)} small />
    </Handle>
  );
}
