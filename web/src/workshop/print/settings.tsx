import type { ComponentProps } from "react";
import { mostOnPage, PAPER_SIZES, PRINT_MAKING, type Making } from "@twin-petal/core";
import { BoundChoice } from "@/desk/fields/boundChoice";
import { WordButton } from "@/desk/fields/wordButton";
import { useDesign, useDesk, useEditing } from "@/store/deskStore";
import { setMaking } from "@/store/edits/making";
import { useMaking } from "@/store/useMaking";
import { Sentence } from "@/ui/sentence";
import { MakingNumber } from "../makingNumber";

const FIELDS = PRINT_MAKING.fields;
type Settings = Making["print"];
type Set = ComponentProps<typeof MakingNumber>["set"];
type NumberName = "margin" | "bleed" | "overlap" | "scale" | "columns" | "rows" | "gap";
type ToggleName = "marks" | "turned" | "bar" | "lineArt" | "grey";

/** How it is printed, in sentences. */
export function PrintSettings() {
  const design = useDesign();
  const { edit } = useEditing();
  const settings = useSettings();
  const resolved = useMaking(design).print;
  const { width, height } = design.sheet;
  const fill = () => {
    if (typeof width !== "number" || typeof height !== "number") return;
    edit(setMaking("print", mostOnPage({ width, height }, resolved), "as many as fit"));
  };
  const isSeveral = settings.columns !== 1 || settings.rows !== 1;
  return (
    <section aria-label="Settings" className="flex flex-col gap-3">
      <Paper />
      <Sentence>
        The printer leaves <Setting of="margin" label="margin" /> free all round. The sheet is printed{" "}
        <Setting of="scale" label="scale" suffix=" times" /> its size,{" "}
        <Either of="turned" label="lies" yes="on its side" no="upright" />.
      </Sentence>
      <Sentence>
        On a page: <Setting of="columns" label="columns" /> across and <Setting of="rows" label="rows" /> down
        {isSeveral && (
          <>
            , <Setting of="gap" label="gap" /> apart
          </>
        )}
        .<WordButton onClick={fill}>as many as fit</WordButton>
      </Sentence>
      <Sentence>
        A sheet larger than the page goes over several, which lie over each other by{" "}
        <Setting of="overlap" label="overlap" />.
      </Sentence>
      <Sentence>
        The picture goes on <Setting of="bleed" label="bleed" /> beyond the sheet’s edge;{" "}
        <Either of="marks" label="marks" yes="with marks to cut and join by" no="without marks" />,{" "}
        <Either of="bar" label="measuring bar" yes="with a bar of 100 mm to measure by" no="without a measuring bar" />.
      </Sentence>
      <Sentence>
        It is printed <Either of="lineArt" label="printed" yes="as line art" no="as it is painted" />,{" "}
        <Either of="grey" label="inks" yes="in grey" no="in colour" />.
      </Sentence>
    </section>
  );
}

function useSettings(): Settings {
  return useDesk((state) => state.history.design.making.print);
}

const OWN = "own";

/** A standard paper, upright or lying, or one of its own size. */
function Paper() {
  const { paper } = useSettings();
  const { edit } = useEditing();
  const sizes = PAPER_SIZES.flatMap(({ name, width, height }) => [
    { value: name, words: `${name} upright`, width, height },
    { value: `${name} lying`, words: `${name} lying`, width: height, height: width },
  ]);
  const known = sizes.find((size) => size.width === paper.width && size.height === paper.height);
  const choices = [...sizes.map(({ value, words }) => ({ value, words })), { value: OWN, words: "of its own size" }];
  const side = (of: "width" | "height") => (
    <MakingNumber
      of={of}
      label={`paper ${of}`}
      stored={paper[of]}
      field={FIELDS.paper.fields[of]}
      set={(value, change, gesture) => setMaking("print", { paper: { ...paper, [of]: value } }, change, gesture)}
    />
  );
  return (
    <Sentence>
      The paper is{" "}
      <BoundChoice
        label="paper"
        value={known?.value ?? OWN}
        choices={choices}
        onChange={(value) => {
          const size = sizes.find((one) => one.value === value);
          if (size)
            edit(setMaking("print", { paper: { width: size.width, height: size.height } }, `paper ${size.words}`));
        }}
      />
      , {side("width")} by {side("height")}.
    </Sentence>
  );
}

function Setting({ of, label, suffix }: { of: NumberName; label: string; suffix?: string }) {
  const { [of]: stored } = useSettings();
  const set: Set = (value, change, gesture) => setMaking("print", { [of]: value }, change, gesture);
  return <MakingNumber of={of} label={label} stored={stored} field={FIELDS[of]} suffix={suffix} set={set} />;
}

function Either({ of, label, yes, no }: { of: ToggleName; label: string; yes: string; no: string }) {
  const settings = useSettings();
  const { edit } = useEditing();
  return (
    <BoundChoice
      label={label}
      value={settings[of] ? "yes" : "no"}
      choices={[
        { value: "yes", words: yes },
        { value: "no", words: no },
      ]}
      onChange={(value) => edit(setMaking("print", { [of]: value === "yes" }, value === "yes" ? yes : no))}
    />
  );
}
