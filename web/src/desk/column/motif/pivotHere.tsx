import { apply, invert, type Part, type Point } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { WordButton } from "../../fields/wordButton";
import { usePicture } from "../../stage/pictureContext";

/** For each rule with a pivot: sets it where a place of the motif, millimetres, stands on the copy that is worked on. */
export function PivotHere({ part, at }: { part: Part; at: Point }) {
  const chosen = usePicture().report?.chosen;
  const { edit } = useEditing();
  if (chosen?.id !== part.id) return null;
  return chosen.marks.map(({ rule, toSheet, mark }) => {
    const back = mark.kind === "pivot" && invert(toSheet);
    const kind = part.rules[rule]?.kind;
    if (!back || kind === undefined) return null;
    const { x, y } = apply(back, apply(chosen.working, at));
    const pivot = { x: Number(x.toFixed(4)), y: Number(y.toFixed(4)) };
    return (
      <WordButton
        key={rule}
        onClick={() => edit(setField(part.id, { rule }, mark.field, pivot, `pivot of the ${kind} at a node`))}
      >
        {kind} about it
      </WordButton>
    );
  });
}
