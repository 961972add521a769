import { apply, invert, type Mark, type Part, type PlacedMark } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";

interface PivotHandleProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "pivot" }>;
}

/** The point a rule turns about: a lens of two petals. Dragged, it becomes a point of its own. */
export function PivotHandle({ part, placed: { rule, toSheet }, mark }: PivotHandleProps) {
  const edit = useDesk((state) => state.edit);
  const { words, rounded, nudge } = useLengthReadout();
  const back = invert(toSheet);
  if (!back) return null;
  const kind = part.rules[rule]?.kind ?? "rule";
  return (
    <Handle
      label={`Pivot of the ${kind}`}
      at={apply(toSheet, mark.at)}
      readout={`${words(mark.at.x)} across, ${words(mark.at.y)} down`}
      nudge={nudge}
      onPull={(to, gesture) => {
        const { x, y } = apply(back, to);
        const pivot = { x: rounded(x), y: rounded(y) };
        const change = `pivot to ${words(pivot.x)}, ${words(pivot.y)}`;
        edit(setField(part.id, { rule }, mark.field, pivot, change, `${part.id}/${rule}/${mark.field}/${gesture}`));
      }}
    >
      <path
        d="M0 10C-8 4-8-4 0-10 8-4 8 4 0 10Z"
        fill="#2B2140"
        stroke="#FFFFFF"
        strokeWidth={2}
        transform="rotate(35)"
      />
      <path
        d="M0 10C-8 4-8-4 0-10 8-4 8 4 0 10Z"
        fill="none"
        stroke="#FFFFFF"
        strokeWidth={1.5}
        transform="rotate(-35) scale(.8)"
      />
      <circle r={1.6} fill="#FFFFFF" />
    </Handle>
  );
}
