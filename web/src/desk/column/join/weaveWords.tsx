import { JOIN_DEFAULT, WEAVE_GAP, type Join } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setJoin } from "@/store/edits/join";
import { BoundNumber } from "../../fields/boundNumber";
import { TouchButton } from "../../fields/touchButton";
import { WordButton } from "../../fields/wordButton";

/** What is left free beside the upper band, and the crossings turned by hand. */
export function WeaveWords({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const turned = join.flipped.length;
  return (
    <>
      , with{" "}
      <BoundNumber
        label="weave gap"
        stored={join.gap}
        standard={Number(JOIN_DEFAULT.gap)}
        quantity="length"
        limits={WEAVE_GAP}
        step={0.1}
        onSet={(gap, change, gesture) => edit(setJoin(part, { gap: gap ?? JOIN_DEFAULT.gap }, change, gesture))}
      />{" "}
      left free beside what lies over
      <TouchButton touching="crossings" words="turn crossings over …" />
      {turned > 0 && (
        <WordButton onClick={() => edit(setJoin(part, { flipped: [] }, "crossings in turn again"))}>
          {turned === 1 ? "1 turned: undo it" : `${turned} turned: undo them`}
        </WordButton>
      )}
    </>
  );
}
