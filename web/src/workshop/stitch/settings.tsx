import type { ComponentProps } from "react";
import { HOOP_SHAPES, STITCH_MAKING, type Making } from "@twin-petal/core";
import { BoundChoice } from "@/desk/fields/boundChoice";
import { useDesk, useEditing } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { Sentence } from "@/ui/sentence";
import { MakingNumber } from "../makingNumber";

const { frame: FRAME, tie: _tie, order: _order, ...FIELDS } = STITCH_MAKING.fields;
type Settings = Making["stitch"];
type Set = ComponentProps<typeof MakingNumber>["set"];
type NumberName = keyof typeof FIELDS;

const SHAPE_WORDS = { rectangle: "a rectangle", oval: "an oval" } as const;
const TIE_WORDS = [
  { value: "tied", words: "is tied at its ends" },
  { value: "loose", words: "is left loose at its ends" },
] as const;

/** The hoop and the machine, in sentences. */
export function StitchSettings() {
  const { frame, tie } = useSettings();
  const { edit } = useEditing();
  return (
    <section aria-label="Settings" className="flex flex-col gap-3">
      <Sentence>
        The hoop is{" "}
        <BoundChoice
          label="hoop is"
          value={frame.shape}
          choices={HOOP_SHAPES.map((value) => ({ value, words: SHAPE_WORDS[value] }))}
          onChange={(shape) => edit(setMaking("stitch", { frame: { ...frame, shape } }, `hoop: ${SHAPE_WORDS[shape]}`))}
        />{" "}
        of <Side of="width" /> by <Side of="height" />; the ornament is <Setting of="scale" label="ornament's size" />{" "}
        times as large as drawn.
      </Sentence>
      <Sentence>
        The machine sews <Setting of="speed" label="stitches a minute" /> stitches a minute, from{" "}
        <Setting of="shortest" label="shortest stitch" /> to <Setting of="longest" label="longest stitch" /> long.
      </Sentence>
      <Sentence>
        Gaps up to <Setting of="travel" label="travel" /> are gone over by running stitches, wider ones by a jump,
        trimmed when longer than <Setting of="trim" label="trim" />; thread{" "}
        <BoundChoice
          label="thread is tied"
          value={tie ? "tied" : "loose"}
          choices={TIE_WORDS}
          onChange={(value) => edit(setMaking("stitch", { tie: value === "tied" }, "tie the thread"))}
        />
        .
      </Sentence>
      <Sentence>
        Told is what has over <Setting of="densest" label="densest" /> needle points a mm².
      </Sentence>
    </section>
  );
}

function useSettings(): Settings {
  return useDesk((state) => state.history.design.making.stitch);
}

function Setting({ of, label }: { of: NumberName; label: string }) {
  const { [of]: stored } = useSettings();
  const set: Set = (value, change, gesture) => setMaking("stitch", { [of]: value }, change, gesture);
  return <MakingNumber of={of} label={label} stored={stored} field={FIELDS[of]} set={set} />;
}

function Side({ of }: { of: "width" | "height" }) {
  const { frame } = useSettings();
  const set: Set = (value, change, gesture) =>
    setMaking("stitch", { frame: { ...frame, [of]: value } }, change, gesture);
  return <MakingNumber of={of} label={`hoop ${of}`} stored={frame[of]} field={FRAME.fields[of]} set={set} />;
}
