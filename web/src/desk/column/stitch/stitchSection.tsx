import { memo } from "react";
import {
  LINE_STITCH_KINDS,
  LINE_STITCHES,
  NOT_SEWN,
  SEWING_ORDERS,
  repeatsWhole,
  STITCH_FIELDS,
  UNDERLAYS,
  type FillStitchValue,
  type LineStitchKind,
  type LineStitchValue,
  type NumberField,
  type Part,
  type StitchValue,
} from "@twin-petal/core";
import { useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { changeFill, changeLine, changeStitch, setStitch, stitchValueOf } from "@/store/edits/stitch";
import { Sentence } from "@/ui/sentence";
import { Swatch } from "@/ui/swatch";
import { BoundChoice } from "../../fields/boundChoice";
import { Folded } from "../../fields/folded";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";
import type { LineNumberName } from "./lineStitch";
import { LINE_STITCH_LABELS } from "./lineStitchLabels";
import { ORDER_WORDS, PLACE_WORDS, UNDERLAY_WORDS } from "./stitchWords";

type Sewn = Pick<Part, "id" | "name" | "motif" | "stitch" | "finish">;
type FillNumberName = "angle" | "spacing" | "length" | "shift" | "inset";
const { fill: FILL, line: LINE } = STITCH_FIELDS;

interface StitchSectionProps {
  readonly part: Sewn;
  /** Whether labels begin with the part's name, where several stand below each other. */
  readonly named?: boolean;
}

/** How a part is sewn, in sentences. */
export const StitchSection = memo(function StitchSection({ part, named = false }: StitchSectionProps) {
  const { edit } = useEditing();
  const { id, stitch } = part;
  const value = stitchValueOf(part);
  const before = named ? `${part.name} ` : "";
  if (stitch === null && !named) return null;
  return (
    <section aria-label={named ? `Stitches of ${part.name}` : "Stitches"}>
      {stitch === null && repeatsWhole(part) ? (
        <Sentence>
          <b>{part.name}</b> is sewn as what it repeats is.
          <WordButton onClick={() => edit(changeStitch(id, {}, "sew it all alike"))}>sew it all alike …</WordButton>
        </Sentence>
      ) : value === NOT_SEWN ? (
        <Sentence>
          <b>{named ? part.name : "Thread"}</b> is left out.
          <WordButton onClick={() => edit(setStitch(id, null, "sew it as it is painted"))}>sew it</WordButton>
        </Sentence>
      ) : (
        <>
          <FillSentence id={id} value={value} before={before} name={named ? part.name : "In thread"} />
          <LineSentence id={id} value={value} before={before} />
          <RestSentence part={part} value={value} before={before} />
        </>
      )}
    </section>
  );
});

/** Of a part that is sewn as it is painted: to sew it otherwise. */
export function SewOffer({ part }: { part: Sewn }) {
  const { id, stitch } = part;
  const { edit } = useEditing();
  const store = useDeskStore();
  if (stitch !== null) return null;
  return (
    <WordButton
      title={
        repeatsWhole(part) ? "In thread it is sewn as what it repeats is" : "In thread it is sewn as it is painted"
      }
      onClick={() => {
        edit(changeStitch(id, {}, "sew it otherwise"));
        // What is said of thread is seen in thread, neighbours and all.
        store.getState().setHand({ thread: true, solid: false });
      }}
    >
      sew it otherwise …
    </WordButton>
  );
}

interface WordsProps {
  readonly id: string;
  readonly value: StitchValue;
  /** What labels begin with. */
  readonly before: string;
}

function FillSentence({ id, value: { fill }, before, name }: WordsProps & { name: string }) {
  const { edit } = useEditing();
  if (!fill) {
    return (
      <Sentence>
        <b>{name}</b>: its area is left open.
        <WordButton onClick={() => edit(changeFill(id, {}, "fill it with rows"))}>fill it with rows</WordButton>
      </Sentence>
    );
  }
  const number = (of: FillNumberName, label: string) => (
    <FillNumber id={id} fill={fill} of={of} label={`${before}${label}`} />
  );
  return (
    <Sentence>
      <b>{name}</b>: rows at {number("angle", "direction of rows")}, {number("spacing", "row spacing")} apart, stitches{" "}
      {number("length", "row stitch")} long, moved by {number("shift", "shift of rows")} of one from row to row
      <Folded about="bow the rows" said={fill.wave.height !== 0}>
        , bowed <WaveNumber id={id} fill={fill} of="height" label={`${before}height of waves`} /> high every{" "}
        <WaveNumber id={id} fill={fill} of="length" label={`${before}length of waves`} />
      </Folded>
      <Folded about="keep from the edge" said={fill.inset !== 0}>
        , {number("inset", "inset of rows")} inside the edge
      </Folded>
      <WordButton onClick={() => edit(changeStitch(id, { fill: null }, "no rows"))}>no rows</WordButton>
    </Sentence>
  );
}

function FillNumber(props: { id: string; fill: FillStitchValue; of: FillNumberName; label: string }) {
  const { id, fill, of, label } = props;
  const { edit } = useEditing();
  const field: NumberField = FILL[of];
  return (
    <TableNumber
      label={label}
      stored={fill[of]}
      field={field}
      onSet={(value, change, gesture) =>
        edit(changeFill(id, { [of]: value ?? field.default }, change, gesture && `fill/${of}/${gesture}`))
      }
    />
  );
}

function WaveNumber(props: { id: string; fill: FillStitchValue; of: "length" | "height"; label: string }) {
  const { id, fill, of, label } = props;
  const { edit } = useEditing();
  const field: NumberField = FILL.wave.fields[of];
  return (
    <TableNumber
      label={label}
      stored={fill.wave[of]}
      field={field}
      onSet={(value, change, gesture) =>
        edit(
          changeFill(
            id,
            { wave: { ...fill.wave, [of]: value ?? field.default } },
            change,
            gesture && `fill/wave/${of}/${gesture}`,
          ),
        )
      }
    />
  );
}

function LineSentence({ id, value: { line }, before }: WordsProps) {
  const { edit } = useEditing();
  if (!line) {
    return (
      <Sentence>
        Its outline is left out.
        <WordButton onClick={() => edit(changeLine(id, {}, "sew the outline"))}>sew the outline</WordButton>
      </Sentence>
    );
  }
  const { fields } = LINE_STITCH_KINDS[line.kind];
  const number = (of: LineNumberName) => (
    <LineNumber id={id} line={line} of={of} label={`${before}${LINE_STITCH_LABELS[line.kind].labels[of] ?? of}`} />
  );
  const set = (kind: LineStitchKind) => edit(changeLine(id, { kind }, LINE_STITCH_LABELS[kind].words));
  return (
    <Sentence>
      Its outline is{" "}
      <BoundChoice
        label={`${before}outline is`}
        value={line.kind}
        choices={LINE_STITCHES.map((kind) => ({ value: kind, words: LINE_STITCH_LABELS[kind].words }))}
        onChange={set}
      />{" "}
      {LINE_STITCH_LABELS[line.kind].rest(number)}
      {fields.includes("place") && (
        <>
          ,{" "}
          <BoundChoice
            label={`${before}place of the band`}
            value={line.place}
            choices={PLACE_WORDS}
            onChange={(place) => edit(changeLine(id, { place }, "place the band"))}
          />
        </>
      )}
      .<WordButton onClick={() => edit(changeStitch(id, { line: null }, "no outline"))}>no outline</WordButton>
    </Sentence>
  );
}

function LineNumber(props: { id: string; line: LineStitchValue; of: LineNumberName; label: string }) {
  const { id, line, of, label } = props;
  const { edit } = useEditing();
  const field: NumberField = LINE[of];
  return (
    <TableNumber
      label={label}
      stored={line[of]}
      field={field}
      onSet={(value, change, gesture) =>
        edit(changeLine(id, { [of]: value ?? field.default }, change, gesture && `line/${of}/${gesture}`))
      }
    />
  );
}

function RestSentence({ part, value, before }: { part: Sewn; value: StitchValue; before: string }) {
  const { edit } = useEditing();
  const palette = useDesk((state) => state.history.design.palette);
  const { id } = part;
  const { underlay, pull, order, thread } = value;
  return (
    <Sentence>
      Below it{" "}
      <BoundChoice
        label={`${before}underlay`}
        value={underlay}
        choices={UNDERLAYS.map((kind) => ({ value: kind, words: UNDERLAY_WORDS[kind] }))}
        onChange={(next) => edit(changeStitch(id, { underlay: next }, `underlay: ${UNDERLAY_WORDS[next]}`))}
      />
      ; stitches go{" "}
      <TableNumber
        label={`${before}pull`}
        stored={pull}
        field={STITCH_FIELDS.pull}
        onSet={(next, change, gesture) =>
          edit(changeStitch(id, { pull: next ?? 0 }, change, gesture && `pull/${gesture}`))
        }
      />{" "}
      beyond the edge; copies come{" "}
      <BoundChoice
        label={`${before}order of copies`}
        value={order}
        choices={SEWING_ORDERS.map((kind) => ({ value: kind, words: ORDER_WORDS[kind] }))}
        onChange={(next) => edit(changeStitch(id, { order: next }, `copies ${ORDER_WORDS[next]}`))}
      />
      {thread === undefined ? (
        <>
          ; thread in the colours of the finish
          <WordButton onClick={() => edit(changeStitch(id, { thread: palette[0]?.color ?? "#2B2140" }, "thread"))}>
            another thread …
          </WordButton>
        </>
      ) : (
        <>
          ; thread
          <Swatch
            label={`${before}thread`}
            value={thread}
            palette={palette}
            onChange={(color, gesture) => edit(changeStitch(id, { thread: color }, "thread", `thread/${gesture}`))}
            onRemove={() => edit(changeStitch(id, { thread: undefined }, "thread in the colours of the finish"))}
          />
        </>
      )}
      .
      {part.stitch !== null && (
        <WordButton onClick={() => edit(setStitch(id, null, "sew it as it is painted"))}>as it is painted</WordButton>
      )}
      <WordButton onClick={() => edit(setStitch(id, NOT_SEWN, "leave it unsewn"))}>leave it unsewn</WordButton>
    </Sentence>
  );
}
