import { JOIN_OF, type Join } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setJoin } from "@/store/edits/join";
import { TableNumber } from "../../../fields/tableNumber";
import { TouchButton } from "../../../fields/touchButton";
import { WordButton } from "../../../fields/wordButton";
import type { JoinLabels } from "./definition";

const GAP = JOIN_OF.weave.fields.gap;

export const weaveLabels: JoinLabels = {
  kind: "weave",
  name: "woven",
  promise: "going over and under each other in turn",
  Panel,
};

/** What is left free beside the upper band, and the crossings turned by hand. */
function Panel({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const turned = join.flipped.length;
  return (
    <>
      , with{" "}
      <TableNumber
        label="weave gap"
        stored={join.gap}
        field={GAP}
        onSet={(gap, change, gesture) => edit(setJoin(part, { gap: gap ?? GAP.default }, change, gesture))}
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
