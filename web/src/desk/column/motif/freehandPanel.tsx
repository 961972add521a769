import {
  fitStroke,
  LINE_DEFAULT,
  steadied,
  storedStrokes,
  storedStyles,
  type DrawnPath,
  type Part,
} from "@twin-petal/core";
import { castDraft } from "immer";
import { useDesign, useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { drawnMotif } from "@/store/edits/drawn";
import { removeStroke, styleStroke } from "@/store/edits/freehand";
import { partEdit } from "@/store/edits/parts";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { Swatch } from "@/ui/swatch";
import { BoundNumber } from "../../fields/boundNumber";
import { FieldNumber } from "../../fields/fieldNumber";
import { useFields } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";

/** Strokes are fitted by drawn outlines to within this, millimetres. */
const FIT_TOLERANCE = 0.1;
const WIDTH = { min: 0.001, max: 1_000, whole: false };

/** Freehand strokes in words. */
export function FreehandPanel() {
  const { part: id } = useFields();
  const part = useDesign().parts.find((known) => known.id === id);
  const { setHand } = useDeskStore().getState();
  if (!part) return null;
  const strokes = storedStrokes(part.motif);
  return (
    <>
      <Sentence>
        {strokes.length === 0
          ? "Nothing is drawn yet"
          : `${strokes.length} ${strokes.length === 1 ? "stroke" : "strokes"}`}
        , steadied <FieldNumber of="steady" />, <FieldNumber of="width" /> wide, tapering <FieldNumber of="taper" />,
        thinned <FieldNumber of="pressing" label="by light pressure" /> by light pressure.
        <WordButton onClick={() => setHand({ tool: "freehand" })}>draw</WordButton>
      </Sentence>
      <SectorPanel part={part} />
      {strokes.length > 0 && <StrokePanel part={part} />}
    </>
  );
}

/** In how many sectors strokes appear, and whether mirrored too: the two rules that say so. */
function SectorPanel({ part }: { part: Part }) {
  const { edit } = useEditing();
  const turnAt = part.rules.findIndex(({ kind, on }) => kind === "turn" && on);
  const mirrored = part.rules.some(({ kind, on }) => kind === "reflect" && on);
  const count = part.rules[turnAt]?.count;
  const set = (mirror: boolean, sectors: number) =>
    edit(
      partEdit(part.id, mirror ? "turn and mirror the strokes" : "only turn the strokes", (draft) => {
        draft.rules = draft.rules.filter(({ kind }) => kind !== "reflect");
        if (!draft.rules.some(({ kind }) => kind === "turn"))
          draft.rules.push({ kind: "turn", on: true, count: sectors });
        if (mirror) draft.rules.unshift({ kind: "reflect", on: true });
      }),
    );
  if (turnAt < 0) {
    return (
      <Sentence>
        Drawn once. <WordButton onClick={() => set(false, 12)}>in 12 sectors, turned</WordButton>
        <WordButton onClick={() => set(true, 12)}>turned and mirrored</WordButton>
      </Sentence>
    );
  }
  return (
    <Sentence>
      In {typeof count === "string" || typeof count === "number" ? count : 8} sectors,{" "}
      <Choice
        label="sectors"
        value={mirrored ? "mirrored" : "turned"}
        choices={[
          { value: "turned", words: "only turned" },
          { value: "mirrored", words: "turned and mirrored" },
        ]}
        onChange={(next) => set(next === "mirrored", 12)}
      />
      .
    </Sentence>
  );
}

/** The chosen stroke: its own width and colour, and what can be done to it. */
function StrokePanel({ part }: { part: Part }) {
  const { edit } = useEditing();
  const { setHand } = useDeskStore().getState();
  const stroke = useDesk((state) => state.hand.stroke);
  const strokes = storedStrokes(part.motif);
  const number = stroke !== null && stroke < strokes.length ? stroke : null;
  const style = number === null ? null : (storedStyles(part.motif)[number] ?? {});
  const steady = typeof part.motif.steady === "number" ? part.motif.steady : 0.5;
  const usualWidth = typeof part.motif.width === "number" ? part.motif.width : 3;
  const fitted = () => {
    const runs = strokes.flatMap((points): DrawnPath[] => {
      const run = fitStroke(steadied(points, steady), FIT_TOLERANCE);
      return run ? [run] : [];
    });
    edit(
      partEdit(part.id, "turn the strokes into a drawing", (draft) => {
        const paint = draft.finish.fill ?? LINE_DEFAULT.paint;
        draft.motif = castDraft(drawnMotif(runs));
        draft.finish.fill = null;
        draft.finish.line = castDraft({ ...LINE_DEFAULT, width: usualWidth, paint });
      }),
    );
  };
  return (
    <Sentence>
      {number === null || !style ? (
        <WordButton onClick={() => setHand({ stroke: strokes.length - 1 })}>choose the last stroke</WordButton>
      ) : (
        <>
          Stroke{" "}
          <BoundNumber
            label="stroke"
            stored={number + 1}
            standard={1}
            quantity="count"
            limits={{ min: 1, max: strokes.length, whole: true }}
            step={1}
            onSet={(next) => typeof next === "number" && setHand({ stroke: next - 1 })}
          />{" "}
          is{" "}
          <BoundNumber
            label="stroke width"
            stored={style.width ?? usualWidth}
            standard={3}
            quantity="length"
            limits={WIDTH}
            step={0.1}
            onSet={(width, change, gesture) =>
              edit(styleStroke(part.id, number, typeof width === "number" ? { width } : {}, change, gesture))
            }
          />{" "}
          wide
          {style.color === undefined ? (
            <WordButton onClick={() => edit(styleStroke(part.id, number, { color: "#C8442B" }, "a colour of its own"))}>
              a colour of its own
            </WordButton>
          ) : (
            <>
              {" "}
              in{" "}
              <Swatch
                label="stroke colour"
                value={style.color}
                palette={[]}
                onChange={(color, gesture) => edit(styleStroke(part.id, number, { color }, "stroke colour", gesture))}
              />
            </>
          )}
          <WordButton
            onClick={() => {
              edit(removeStroke(part.id, number));
              setHand({ stroke: null });
            }}
          >
            remove it
          </WordButton>
        </>
      )}
      <WordButton onClick={fitted} title={`Few nodes, within ${FIT_TOLERANCE} mm of what was drawn`}>
        turn all into a drawing
      </WordButton>
    </Sentence>
  );
}
