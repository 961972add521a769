import { memo } from "react";
import {
  FINISH,
  FINISH_DEFAULT,
  LINE_GRADIENT_OVER,
  paletteReference,
  type FillValue,
  type Finish,
  type Rule,
} from "@twin-petal/core";
import { useDesk, useEditing } from "@/store/deskStore";
import { together } from "@/store/atHand";
import { setFinish, setLine } from "@/store/edits/finish";
import { addColor } from "@/store/edits/sheet";
import { Choice } from "@/ui/choice";
import { Offers } from "@/ui/offers";
import { Sentence } from "@/ui/sentence";
import { Folded } from "../../fields/folded";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";
import { EffectOffers, EffectSentences } from "./effectsPanel";
import { FillPanel } from "./fillPanel";
import { LineManner, WidthPanel } from "./linePanels";

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
    edit(together(named.edit.label, [named.edit, use]));
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
            <FillPanel
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
            <b>A line</b> <WidthPanel part={id} line={line} /> in{" "}
            <FillPanel
              label="line"
              fill={line.paint}
              palette={palette}
              rules={kinds}
              overs={LINE_GRADIENT_OVER}
              onChange={(paint, change, gesture) => edit(setLine(id, { paint }, change, gestureOf("paint", gesture)))}
              onName={(color, replace) => nameColor(color, replace, "line")}
            />
            <LineManner part={id} line={line} />
            <WordButton onClick={() => edit(setFinish(id, "line", null, "remove the line"))}>no line</WordButton>
          </>
        )}
      </Sentence>
      <EffectSentences part={id} finish={finish} palette={palette} />
      <Offers>
        <Folded about="opacity and blending" said={finish.opacity !== 1 || finish.blend !== "normal"}>
          Each copy{" "}
          <TableNumber
            label="opacity"
            stored={finish.opacity}
            field={FINISH.fields.opacity}
            onSet={(opacity, change, gesture) =>
              edit(setFinish(id, "opacity", opacity ?? 1, change, gestureOf("opacity", gesture)))
            }
          />{" "}
          opaque, all laid over by{" "}
          <Choice
            label="blend"
            value={finish.blend}
            choices={asChoices(FINISH.fields.blend.choices)}
            onChange={(blend) => edit(setFinish(id, "blend", blend, `blend by ${blend}`))}
          />
          .
        </Folded>
        <EffectOffers part={id} finish={finish} />
      </Offers>
    </section>
  );
});
