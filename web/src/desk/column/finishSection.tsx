import { memo } from "react";
import {
  BLENDS,
  CAPS,
  FINISH_DEFAULT,
  JOINS,
  LINE_DEFAULT,
  LINE_WIDTH,
  OPACITY,
  paletteReference,
  type FillValue,
  type Finish,
  type LineValue,
  type Rule,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { setFinish, setLine } from "@/store/edits/finish";
import { addColor } from "@/store/edits/sheet";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../fields/boundNumber";
import { WordButton } from "../fields/wordButton";
import { FillWords } from "./fillWords";

const asChoices = <C extends string>(values: readonly C[]) => values.map((value) => ({ value, words: value }));

interface FinishSectionProps {
  readonly part: string;
  readonly finish: Finish;
  readonly rules: readonly Rule[];
}

/** How the copies are painted. */
export const FinishSection = memo(function FinishSection({ part: id, finish, rules }: FinishSectionProps) {
  const { edit, now } = useEditing();
  const palette = useDesk((state) => state.history.design.palette);
  const { fill, line } = finish;
  const gestureOf = (key: string, gesture?: string) => gesture && `${id}/${key}/${gesture}`;
  const kinds = rules.map(({ kind }) => kind);

  /** Names a colour and uses it by its name, in one step. */
  const nameColor = (color: string, replace: (reference: string) => FillValue, key: "fill" | "line") => {
    const named = addColor(now(), color);
    const next = replace(paletteReference(named.name));
    const use = key === "fill" ? setFinish(id, "fill", next, "") : setLine(id, { paint: next }, "");
    edit({
      label: named.edit.label,
      apply(draft) {
        named.edit.apply(draft);
        use.apply(draft);
      },
    });
  };

  return (
    <section aria-label="Finish">
      <Sentence>
        {fill === null ? (
          <>
            <b>Not filled</b>
            <WordButton onClick={() => edit(setFinish(id, "fill", FINISH_DEFAULT.fill, "fill"))}>fill it</WordButton>
          </>
        ) : (
          <>
            <b>Filled</b> with{" "}
            <FillWords
              label="fill"
              fill={fill}
              palette={palette}
              rules={kinds}
              onChange={(next, change, gesture) =>
                edit(setFinish(id, "fill", next, change, gestureOf("fill", gesture)))
              }
              onName={(color, replace) => nameColor(color, replace, "fill")}
            />
            <WordButton onClick={() => edit(setFinish(id, "fill", null, "remove the fill"))}>no fill</WordButton>
          </>
        )}
      </Sentence>
      <Sentence>
        {line === null ? (
          <>
            <b>No line</b>
            <WordButton onClick={() => edit(setLine(id, {}, "draw a line"))}>draw one</WordButton>
          </>
        ) : (
          <>
            <b>A line</b>{" "}
            <BoundNumber
              label="line width"
              stored={line.width}
              standard={Number(LINE_DEFAULT.width)}
              quantity="length"
              limits={LINE_WIDTH}
              step={0.1}
              onSet={(width, change, gesture) =>
                edit(setLine(id, { width: width ?? LINE_DEFAULT.width }, change, gestureOf("line", gesture)))
              }
            />{" "}
            wide in{" "}
            <FillWords
              label="line"
              fill={line.paint}
              palette={palette}
              rules={kinds}
              onChange={(paint, change, gesture) => edit(setLine(id, { paint }, change, gestureOf("paint", gesture)))}
              onName={(color, replace) => nameColor(color, replace, "line")}
            />
            , corners{" "}
            <Choice
              label="line corners"
              value={line.join}
              choices={asChoices(JOINS)}
              onChange={(join) => edit(setLine(id, { join }, `line corners ${join}`))}
            />
            , <DashWords part={id} line={line} />
            <WordButton onClick={() => edit(setFinish(id, "line", null, "remove the line"))}>no line</WordButton>
          </>
        )}
      </Sentence>
      <Sentence>
        Each copy{" "}
        <BoundNumber
          label="opacity"
          stored={finish.opacity}
          standard={1}
          quantity="share"
          limits={OPACITY}
          step={0.05}
          onSet={(opacity, change, gesture) =>
            edit(setFinish(id, "opacity", opacity ?? 1, change, gestureOf("opacity", gesture)))
          }
        />{" "}
        opaque, all laid over by{" "}
        <Choice
          label="blend"
          value={finish.blend}
          choices={asChoices(BLENDS)}
          onChange={(blend) => edit(setFinish(id, "blend", blend, `blend by ${blend}`))}
        />
        .
      </Sentence>
    </section>
  );
});

/** Whether the line is whole or dashed. */
function DashWords({ part: id, line }: { part: string; line: LineValue }) {
  const { edit } = useEditing();
  const set = (dash: typeof line.dash, change: string, gesture?: string) =>
    edit(setLine(id, { dash }, change, gesture));
  if (line.dash.length === 0) {
    return (
      <>
        unbroken <WordButton onClick={() => set([3, 2], "dash the line")}>dash it</WordButton>
      </>
    );
  }
  return (
    <>
      dashed{" "}
      {line.dash.map((length, index) => (
        <span key={index}>
          {index > 0 && " and "}
          <BoundNumber
            label={index % 2 === 0 ? "dash" : "dash gap"}
            stored={length}
            standard={2}
            quantity="length"
            limits={LINE_WIDTH}
            step={0.5}
            onSet={(next, change, gesture) =>
              set(
                line.dash.map((old, at) => (at === index ? (next ?? 2) : old)),
                change,
                gesture && `${id}/dash${index}/${gesture}`,
              )
            }
          />
        </span>
      ))}
      , ends{" "}
      <Choice
        label="line ends"
        value={line.cap}
        choices={asChoices(CAPS)}
        onChange={(cap) => edit(setLine(id, { cap }, `line ends ${cap}`))}
      />
      <WordButton onClick={() => set([], "make the line whole")}>unbroken</WordButton>
    </>
  );
}
