import type { ComponentProps } from "react";
import { SOLID_MAKING, type Making } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { Sentence } from "@/ui/sentence";
import { MakingNumber } from "../makingNumber";

const { frame: FRAME, ...FIELDS } = SOLID_MAKING.fields;
type Settings = Making["solid"];
type Set = ComponentProps<typeof MakingNumber>["set"];
type NumberName = keyof typeof FIELDS;

/** How solids are made, in sentences. */
export function SolidSettings() {
  return (
    <section aria-label="Settings" className="flex flex-col gap-3">
      <Sentence>
        The bed is <Side of="width" /> wide, <Side of="depth" /> deep and <Side of="height" /> high.
      </Sentence>
      <Sentence>
        Curves are true to <Setting of="tolerance" label="tolerance" />.
      </Sentence>
      <Sentence>
        Laid in layers of <Setting of="layer" label="layer" />, <Setting of="walls" label="walls" /> walls of{" "}
        <Setting of="lineWidth" label="line width" /> around, filled to <Setting of="filling" label="filling" />, at{" "}
        <Setting of="speed" label="speed" suffix=" mm/s" />.
      </Sentence>
      <Sentence>
        The stuff weighs <Setting of="density" label="density" suffix=" g/cm³" />.
      </Sentence>
      <Sentence>
        Told are walls under <Setting of="thinnest" label="thinnest wall" /> and overhangs beyond{" "}
        <Setting of="overhang" label="overhang" />.
      </Sentence>
    </section>
  );
}

function useSettings(): Settings {
  return useDesk((state) => state.history.design.making.solid);
}

function Setting({ of, label, suffix }: { of: NumberName; label: string; suffix?: string }) {
  const { [of]: stored } = useSettings();
  const set: Set = (value, change, gesture) => setMaking("solid", { [of]: value }, change, gesture);
  return <MakingNumber of={of} label={label} stored={stored} field={FIELDS[of]} suffix={suffix} set={set} />;
}

function Side({ of }: { of: keyof Settings["frame"] }) {
  const { frame } = useSettings();
  const set: Set = (value, change, gesture) =>
    setMaking("solid", { frame: { ...frame, [of]: value } }, change, gesture);
  return <MakingNumber of={of} label={`bed ${of}`} stored={frame[of]} field={FRAME.fields[of]} set={set} />;
}
