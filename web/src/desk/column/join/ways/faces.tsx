import {
  FACE_PAINTS,
  JOIN_OF,
  MILLIMETRES_PER,
  paletteReference,
  tidy,
  type FacePaint,
  type FillValue,
  type Join,
  type NumberValue,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setJoin } from "@/store/edits/join";
import { addColor } from "@/store/edits/sheet";
import { Choice } from "@/ui/choice";
import { Swatch } from "@/ui/swatch";
import { together } from "@/store/atHand";
import { FACE_KINDS } from "../../finish/fills/list";
import { FillPanel } from "../../finish/fillPanel";
import { TableNumber } from "../../../fields/tableNumber";
import { TouchButton } from "../../../fields/touchButton";
import { WordButton } from "../../../fields/wordButton";
import { usePicture } from "../../../stage/pictureContext";
import type { JoinLabels } from "./definition";

const CLOSE = JOIN_OF.faces.fields.close;

const PAINT_WORDS: Readonly<Record<FacePaint, string>> = {
  orbit: "orbit by orbit",
  depth: "by how many lie over each other",
  alternate: "alternately",
};

export const facesLabels: JoinLabels = {
  kind: "faces",
  name: "faces",
  promise: "split into faces where they cross",
  Panel,
};

/** What the colours of faces go by, what they are, and painting them by hand. */
function Panel({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  return (
    <>
      , coloured{" "}
      <Choice
        label="faces coloured"
        value={join.paint}
        choices={FACE_PAINTS.map((value) => ({ value, words: PAINT_WORDS[value] }))}
        onChange={(paint) => edit(setJoin(part, { paint }, `faces coloured ${PAINT_WORDS[paint]}`))}
      />{" "}
      in <FaceColors part={part} colors={join.colors} />
      <Openings part={part} join={join} />
      <BrushPanel part={part} own={join.own.length} />
    </>
  );
}

/** Lines that end a little before another leave faces open: how many, how far, and what closes them. */
function Openings({ part, join }: { part: string; join: Join }) {
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const unit = useDesk((state) => state.history.design.sheet.unit);
  const openings = report?.chosen?.id === part ? report.chosen.openings : [];
  const widest = openings.at(-1)?.width ?? 0;
  const set = (close: NumberValue, change: string, gesture?: string) =>
    edit(setJoin(part, { close }, change, gesture && `${part}/close/${gesture}`));
  // A little more than the widest, so that it is surely closed.
  const enough = Math.ceil(widest * 100 + 1) / 100;
  const words = `${tidy(widest / MILLIMETRES_PER[unit])} ${unit}`;
  return (
    <>
      {join.close !== 0 && (
        <>
          , gaps up to{" "}
          <TableNumber
            label="gaps closed"
            stored={join.close}
            field={CLOSE}
            onSet={(close, change, gesture) => set(close ?? CLOSE.default, change, gesture)}
          />{" "}
          closed
        </>
      )}
      {openings.length > 0 && (
        <span className="block text-doubtful">
          △ {openings.length === 1 ? "A line ends" : "Lines end"} {openings.length > 1 && "up to "}
          {words} before another, marked on the sheet: no face is closed there.
          <WordButton onClick={() => set(enough, "close the gaps between lines")}>close the gaps</WordButton>
        </span>
      )}
    </>
  );
}

/** Faces painted on the sheet, with a colour or hollow. */
function BrushPanel({ part, own }: { part: string; own: number }) {
  const { edit } = useEditing();
  const palette = useDesk((state) => state.history.design.palette);
  const { brush, touching } = useDesk((state) => state.hand);
  const setHand = useDesk((state) => state.setHand);
  return (
    <>
      <TouchButton touching="faces" words="paint faces …" />
      {touching === "faces" && (
        <>
          {" "}
          A click on the sheet paints an orbit {brush === null ? "hollow" : "with"}
          {brush === null ? (
            <WordButton onClick={() => setHand({ brush: "#C8442B" })}>with a colour</WordButton>
          ) : (
            <>
              <Swatch label="brush" value={brush} palette={palette} onChange={(next) => setHand({ brush: next })} />
              <WordButton onClick={() => setHand({ brush: null })}>hollow</WordButton>
            </>
          )}
          , with Alt one face alone
        </>
      )}
      {own > 0 && (
        <WordButton onClick={() => edit(setJoin(part, { own: [] }, "faces alone back to their orbits"))}>
          {own === 1 ? "1 painted alone: undo it" : `${own} painted alone: undo them`}
        </WordButton>
      )}
    </>
  );
}

/** The colours faces take in turn; none given, the fill's. */
function FaceColors({ part, colors }: { part: string; colors: Join["colors"] }) {
  const { edit, now } = useEditing();
  const palette = useDesk((state) => state.history.design.palette);
  const set = (next: Join["colors"], change: string, gesture?: string) =>
    edit(setJoin(part, { colors: next }, change, gesture));
  const replaced = (index: number, color: FillValue | null) => colors.map((old, at) => (at === index ? color : old));
  return (
    <>
      {colors.length === 0 && "the fill’s colours"}
      {colors.map((color, index) =>
        color === null ? (
          <WordButton
            key={index}
            title="Fill it again"
            onClick={() => set(replaced(index, "#1E6F5C"), "fill the face")}
          >
            hollow
          </WordButton>
        ) : (
          <span key={index}>
            <FillPanel
              label={`face colour ${index + 1}`}
              fill={color}
              palette={palette}
              rules={[]}
              kinds={FACE_KINDS}
              onChange={(next, change, gesture) => set(replaced(index, next), change, gesture)}
              onName={(hex, replace) => {
                const named = addColor(now(), hex);
                const use = setJoin(part, { colors: replaced(index, replace(paletteReference(named.name))) }, "");
                edit(together(named.edit.label, [named.edit, use]));
              }}
            />
            <WordButton
              aria-label={`Remove face colour ${index + 1}`}
              onClick={() =>
                set(
                  colors.filter((_, at) => at !== index),
                  "remove a face colour",
                )
              }
            >
              ×
            </WordButton>
          </span>
        ),
      )}
      <WordButton
        onClick={() => set([...colors, FRESH[colors.length % FRESH.length] ?? "#1E6F5C"], "add a face colour")}
      >
        {colors.length === 0 ? "colours of their own" : "another"}
      </WordButton>
      {colors.length > 0 && colors.at(-1) !== null && (
        <WordButton onClick={() => set([...colors, null], "add a hollow face")}>a hollow one</WordButton>
      )}
      {palette.length > 1 && (
        <WordButton
          title="The palette’s colours in turn, orbit by orbit"
          onClick={() =>
            set(
              palette.map(({ name }) => paletteReference(name)),
              "deal the palette out",
            )
          }
        >
          deal the palette out
        </WordButton>
      )}
    </>
  );
}

const FRESH: readonly string[] = ["#1E6F5C", "#E7C9A0", "#C8442B", "#17566B", "#D9A24B", "#6E5BA8"];
