import { OFFSET, OFFSET_CORNERS, OFFSET_DEFAULT, type OffsetCorners, type OffsetValue } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setJoin } from "@/store/edits/join";
import { Choice } from "@/ui/choice";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";

const { by: BY, times: TIMES } = OFFSET.fields;

const CORNER_WORDS: Readonly<Record<OffsetCorners, string>> = {
  round: "round",
  miter: "pointed",
  bevel: "bevelled",
};

/** Outlines beside the outline. */
export function OffsetPanel({ part, offset }: { part: string; offset: OffsetValue | null }) {
  const { edit } = useEditing();
  if (!offset) {
    return (
      <WordButton onClick={() => edit(setJoin(part, { offset: OFFSET_DEFAULT }, "outlines beside it"))}>
        outlines beside it …
      </WordButton>
    );
  }
  const set = (change: Partial<OffsetValue>, label: string, gesture?: string) =>
    edit(setJoin(part, { offset: { ...offset, ...change } }, label, gesture));
  return (
    <span>
      Beside the outline{" "}
      <TableNumber
        label="outlines beside"
        stored={offset.times}
        field={TIMES}
        onSet={(times, change, gesture) => set({ times: times ?? TIMES.default }, change, gesture)}
      />{" "}
      more, each{" "}
      <TableNumber
        label="outline distance"
        stored={offset.by}
        field={BY}
        onSet={(by, change, gesture) => set({ by: by ?? BY.default }, change, gesture)}
      />{" "}
      further out (below 0: in), corners{" "}
      <Choice
        label="outline corners"
        value={offset.corners}
        choices={OFFSET_CORNERS.map((value) => ({ value, words: CORNER_WORDS[value] }))}
        onChange={(corners) => set({ corners }, `corners ${CORNER_WORDS[corners]}`)}
      />
      ; the first{" "}
      <Choice
        label="first outline"
        value={offset.keep ? "stays" : "goes"}
        choices={[
          { value: "stays", words: "stays" },
          { value: "goes", words: "is left out" },
        ]}
        onChange={(next) =>
          set({ keep: next === "stays" }, next === "stays" ? "keep the first" : "leave the first out")
        }
      />
      <WordButton onClick={() => edit(setJoin(part, { offset: null }, "no outlines beside it"))}>none</WordButton>.
    </span>
  );
}
