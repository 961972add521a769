import { useState } from "react";
import { FONTS, TEXT_LINE_LIMITS, type NumberValue, type TextLineValue } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../../fields/boundNumber";
import { FieldChoice, FieldToggle } from "../../fields/fieldChoice";
import { FieldNumber } from "../../fields/fieldNumber";
import { useField, useFields } from "../../fields/fieldsContext";
import { WordButton } from "../../fields/wordButton";

const FONT_WORDS = Object.fromEntries(FONTS.map(({ id, name, character }) => [id, `${name}, ${character}`]));
const RAISE = { min: -10_000, max: 10_000, whole: false };

/** Lettering in words. */
export function TextPanel() {
  const { field, stored, set } = useField("text", "text");
  const value = typeof stored === "string" ? stored : field.default;
  return (
    <>
      <textarea
        aria-label="Words"
        value={value}
        rows={1}
        maxLength={field.longest}
        onKeyDown={(event) => event.stopPropagation()}
        onChange={(event) => set(event.target.value.replace(/\n/g, " "), "change the words", "words")}
        className="my-1 field-sizing-content w-full resize-none rounded border border-hairline bg-surface px-2 py-1 text-[17px]"
      />
      <Sentence>
        set in <FieldChoice of="font" words={FONT_WORDS} />, <FieldNumber of="size" /> high in the em, letters{" "}
        <FieldNumber of="spacing" label="letter spacing" /> further apart. <LinePanel />
      </Sentence>
      <RaisePanel text={value} />
    </>
  );
}

type Kind = "row" | "circle" | "part";

/** What the lettering stands on. */
function LinePanel() {
  const { part: own } = useFields();
  const design = useDesign();
  const { stored, set } = useField("on", "structure");
  const line = isLine(stored) ? stored : null;
  const others = design.parts.filter(({ id }) => id !== own);
  const kind: Kind = !line ? "row" : "part" in line ? "part" : "circle";
  const choose = (next: Kind) => {
    if (next === "row") return set(undefined, "set in a straight row");
    const [first] = others;
    if (next === "part" && first) return set({ part: first.id }, `set along ${first.name}`);
    if (next === "circle") set({ radius: 50 }, "set around a circle");
  };
  const change = (part: Partial<TextLineValue>, label: string, gesture?: string) =>
    line && set({ ...line, ...part }, label, gesture);
  const choices = [
    { value: "row", words: "in a straight row" },
    { value: "circle", words: "around a circle" },
    ...(others.length > 0 ? [{ value: "part", words: "along another part’s line" } as const] : []),
  ] as const;
  const along = line && "part" in line;
  const quantity = along ? "share" : "angle";
  const limits = along ? TEXT_LINE_LIMITS.share : TEXT_LINE_LIMITS.angle;
  const end = (key: "start" | "end", label: string, value: NumberValue | undefined, standard: number) => (
    <BoundNumber
      label={label}
      stored={value}
      standard={standard}
      quantity={quantity}
      limits={limits}
      step={along ? 0.01 : 1}
      onSet={(next, words, gesture) => change({ [key]: next }, words, gesture)}
    />
  );
  return (
    <>
      It stands <Choice<Kind> label="line" value={kind} choices={choices} onChange={choose} />
      {line && "radius" in line && (
        <>
          {" "}
          of radius{" "}
          <BoundNumber
            label="line radius"
            stored={line.radius}
            standard={50}
            quantity="length"
            limits={TEXT_LINE_LIMITS.radius}
            step={1}
            onSet={(radius, words, gesture) => change({ radius: radius ?? 50 }, words, gesture)}
          />
        </>
      )}
      {line && "part" in line && (
        <>
          ,{" "}
          <Choice
            label="line of"
            value={line.part}
            choices={others.map(({ id, name }) => ({ value: id, words: name }))}
            onChange={(part) => set({ ...line, part }, "set along another line")}
          />
        </>
      )}
      {line && (
        <>
          ,{" "}
          <Choice
            label="side"
            value={line.inside ? "inside" : "outside"}
            choices={[
              { value: "outside", words: "outside" },
              { value: "inside", words: "inside" },
            ]}
            onChange={(side) => change({ inside: side === "inside" }, `lettering ${side}`)}
          />
          ,{" "}
          <BoundNumber
            label="off the line"
            stored={line.off}
            standard={0}
            quantity="length"
            limits={TEXT_LINE_LIMITS.off}
            step={TEXT_LINE_LIMITS.off.step}
            onSet={(off, words, gesture) =>
              off === undefined ? set(without(line, "off"), words) : change({ off }, words, gesture)
            }
          />{" "}
          off it, from {end("start", "line start", line.start, 0)}
          {line.end === undefined ? (
            <WordButton onClick={() => change({ end: along ? 1 : 180 }, "spread to an end")}>
              spread to an end
            </WordButton>
          ) : (
            <>
              {" "}
              to {end("end", "line end", line.end, along ? 1 : 180)}
              <WordButton onClick={() => set(without(line, "end"), "end where it ends")}>end where it ends</WordButton>
            </>
          )}{" "}
          <FieldToggle of="repeatToFill" label="repeated" yes="repeated until the line is full" no="set once" />
        </>
      )}
      .
    </>
  );
}

function isLine(stored: unknown): stored is TextLineValue {
  return typeof stored === "object" && stored !== null && ("radius" in stored || "part" in stored);
}

function without(line: TextLineValue, key: "end" | "off"): TextLineValue {
  const kept = { ...line };
  Reflect.deleteProperty(kept, key);
  return kept;
}

/** Single letters raised or lowered. */
function RaisePanel({ text }: { text: string }) {
  const { stored, set } = useField("raise", "structure");
  const [chosen, setChosen] = useState<number | null>(null);
  const raise = isRaise(stored) ? stored : [];
  const letters = [...text];
  const put = (value: NumberValue, change: string, gesture?: string) => {
    if (chosen === null) return;
    const next = Array.from({ length: Math.max(raise.length, chosen + 1) }, (_, index) => raise[index] ?? 0);
    next[chosen] = value;
    const kept = next.slice(0, next.findLastIndex((entry) => entry !== 0) + 1);
    set(kept.length > 0 ? kept : undefined, change, gesture && `${chosen}-${gesture}`);
  };
  if (letters.length === 0) return null;
  return (
    <div>
      <div role="group" aria-label="Letters" className="flex flex-wrap gap-0.5">
        {letters.slice(0, 60).map((letter, index) => (
          <button
            key={index}
            type="button"
            aria-pressed={chosen === index}
            aria-label={`Letter ${index + 1}, ${letter}${raise[index] ? ", raised" : ""}`}
            onClick={() => setChosen(chosen === index ? null : index)}
            className="h-6 min-w-6 rounded border border-hairline text-[15px] aria-pressed:border-words aria-pressed:bg-page"
            style={raise[index] ? { color: "var(--live)" } : {}}
          >
            {letter}
          </button>
        ))}
      </div>
      {chosen !== null && chosen < letters.length && (
        <Sentence>
          “{letters[chosen]}” is raised by{" "}
          <BoundNumber
            label="raised"
            stored={raise[chosen] ?? 0}
            standard={0}
            quantity="length"
            limits={RAISE}
            step={0.5}
            onSet={(value, change, gesture) => put(value ?? 0, change, gesture)}
          />
          .
        </Sentence>
      )}
    </div>
  );
}

function isRaise(stored: unknown): stored is readonly NumberValue[] {
  return Array.isArray(stored);
}
