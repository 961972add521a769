import type { ComponentProps } from "react";
import { CUT_MAKING, KEPT, type Making } from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { BoundChoice } from "@/desk/fields/boundChoice";
import { Sentence } from "@/ui/sentence";
import { MakingNumber } from "../makingNumber";

const { frame: FRAME, kept: _kept, ...FIELDS } = CUT_MAKING.fields;
type Settings = Making["cut"];
type Set = ComponentProps<typeof MakingNumber>["set"];
type NumberName = keyof typeof FIELDS;

const KEPT_WORDS = { pieces: "the pieces that are cut out", sheet: "the sheet they fall out of" } as const;

/** How it is cut, in sentences. */
export function CutSettings() {
  const { kept } = useSettings();
  const { edit } = useEditing();
  return (
    <section aria-label="Settings" className="flex flex-col gap-3">
      <Sentence>
        The frame is <Side of="width" /> by <Side of="height" />.
      </Sentence>
      <Sentence>
        The cut is <Setting of="kerf" label="kerf" /> wide; what is kept is{" "}
        <BoundChoice
          label="what is kept"
          value={kept}
          choices={KEPT.map((value) => ({ value, words: KEPT_WORDS[value] }))}
          onChange={(value) => edit(setMaking("cut", { kept: value }, `keep ${KEPT_WORDS[value]}`))}
        />
        .
      </Sentence>
      <Sentence>
        Outlines are entered by an arc of <Setting of="leadIn" label="lead-in" /> and gone on over by{" "}
        <Setting of="overcut" label="overcut" />; curves are arcs true to <Setting of="tolerance" label="tolerance" />.
      </Sentence>
      <Sentence>
        The head cuts at <Setting of="speed" label="speed" suffix=" mm/s" /> and travels at{" "}
        <Setting of="travelSpeed" label="travel speed" suffix=" mm/s" />.
      </Sentence>
      <Sentence>
        Told are pieces under <Setting of="smallest" label="smallest piece" /> and webs under{" "}
        <Setting of="narrowest" label="narrowest web" />.
      </Sentence>
    </section>
  );
}

function useSettings(): Settings {
  return useDesk((state) => state.history.design.making.cut);
}

function Setting({ of, label, suffix }: { of: NumberName; label: string; suffix?: string }) {
  const { [of]: stored } = useSettings();
  const set: Set = (value, change, gesture) => setMaking("cut", { [of]: value }, change, gesture);
  return <MakingNumber of={of} label={label} stored={stored} field={FIELDS[of]} suffix={suffix} set={set} />;
}

function Side({ of }: { of: keyof Settings["frame"] }) {
  const { frame } = useSettings();
  const set: Set = (value, change, gesture) => setMaking("cut", { frame: { ...frame, [of]: value } }, change, gesture);
  return <MakingNumber of={of} label={`frame ${of}`} stored={frame[of]} field={FRAME.fields[of]} set={set} />;
}
