import {
  CAPS,
  DASH,
  LINE,
  LINE_JOINS,
  LINE_PLACES,
  LINE_WIDTHS,
  type LineJoin,
  type LinePlace,
  type LineValue,
  type LineWidths,
  type Cap,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setLine } from "@/store/edits/finish";
import { Choice } from "@/ui/choice";
import { Menu, MenuItem } from "@/ui/menu";
import { TableNumber } from "../../fields/tableNumber";
import { WordButton } from "../../fields/wordButton";
import { SwellCurve } from "./swellCurve";
import { SwellNumbers } from "./swellNumbers";
import { reversedSwell, SWELL_SHAPES, swellOf } from "./swell";

const WIDTH = LINE.fields.width;

const CAP_WORDS: Readonly<Record<Cap, string>> = { butt: "cut straight", round: "round", square: "square" };
const CORNER_WORDS: Readonly<Record<LineJoin, string>> = { miter: "pointed", round: "round", bevel: "bevelled" };
const PLACE_WORDS: Readonly<Record<LinePlace, string>> = {
  center: "on the outline",
  inside: "inside the outline",
  outside: "outside the outline",
};
const WIDTHS_WORDS: Readonly<Record<LineWidths, string>> = {
  copies: "as wide as the copies are large",
  same: "as wide everywhere",
};

function choicesOf<C extends string>(values: readonly C[], words: Readonly<Record<C, string>>) {
  return values.map((value) => ({ value, words: words[value] }));
}

interface LineProps {
  readonly part: string;
  readonly line: LineValue;
}

/** How wide a line is: one width, or a swell. */
export function WidthPanel({ part, line }: LineProps) {
  const { edit } = useEditing();
  const set = (change: Partial<LineValue>, label: string, gesture?: string) =>
    edit(setLine(part, change, label, gesture && `${part}/line/${gesture}`));
  if (line.swell.length > 0) {
    return (
      <>
        that swells
        <SwellCurve swell={line.swell} onChange={(swell, label, gesture) => set({ swell }, label, gesture)} />
        <SwellNumbers swell={line.swell} onChange={(swell, label, gesture) => set({ swell }, label, gesture)} />
        <WordButton onClick={() => set({ swell: reversedSwell(line.swell) }, "reverse the swell")}>
          reverse it
        </WordButton>
        <SwellMenu line={line} words="another shape …" onPick={(swell, name) => set({ swell }, `swell ${name}`)} />
        <WordButton onClick={() => set({ swell: [] }, "one width")}>one width</WordButton>
      </>
    );
  }
  return (
    <>
      <TableNumber
        label="line width"
        stored={line.width}
        field={WIDTH}
        onSet={(width, change, gesture) => set({ width: width ?? WIDTH.default }, change, gesture)}
      />{" "}
      wide
      <SwellMenu line={line} words="let it swell …" onPick={(swell, name) => set({ swell }, `swell ${name}`)} />
    </>
  );
}

interface SwellMenuProps {
  readonly line: LineValue;
  readonly words: string;
  onPick: (swell: LineValue["swell"], name: string) => void;
}

/** Ready swells, each drawn. */
function SwellMenu({ line, words, onPick }: SwellMenuProps) {
  const widths = [line.width, ...line.swell.map(({ width }) => width)];
  const widest = Math.max(1, ...widths.flatMap((width) => (typeof width === "number" ? [width] : [])));
  return (
    <Menu trigger={<WordButton>{words}</WordButton>}>
      {SWELL_SHAPES.map(({ name, shape }) => (
        <MenuItem key={name} onSelect={() => onPick(swellOf(shape, line.swell.length > 0 ? widest : widest * 2), name)}>
          <svg width={72} height={22} aria-hidden="true" fill="currentColor">
            <path
              d={`M${shape.map(([at, share]) => `${2 + at * 68} ${11 - share * 8}`).join("L")}L${[...shape]
                .reverse()
                .map(([at, share]) => `${2 + at * 68} ${11 + share * 8}`)
                .join("L")}Z`}
            />
          </svg>
          {name}
        </MenuItem>
      ))}
    </Menu>
  );
}

/** Corners, ends, the side it lies on, and whether it is whole, dashed or dotted. */
export function LineManner({ part, line }: LineProps) {
  const { edit } = useEditing();
  const set = (change: Partial<LineValue>, label: string, gesture?: string) =>
    edit(setLine(part, change, label, gesture && `${part}/line/${gesture}`));
  return (
    <>
      ,{" "}
      <Choice
        label="line place"
        value={line.place}
        choices={choicesOf(LINE_PLACES, PLACE_WORDS)}
        onChange={(place) => set({ place }, `line ${PLACE_WORDS[place]}`)}
      />
      ,{" "}
      <Choice
        label="line widths"
        value={line.widths}
        choices={choicesOf(LINE_WIDTHS, WIDTHS_WORDS)}
        onChange={(widths) => set({ widths }, `line ${WIDTHS_WORDS[widths]}`)}
      />
      {line.dots ? (
        <>
          , in dots with{" "}
          <TableNumber
            label="dot gap"
            stored={line.dots.gap}
            standard={1}
            field={DASH}
            onSet={(gap, change, gesture) => set({ dots: { gap: gap ?? 1 } }, change, gesture)}
          />{" "}
          between them
          <WordButton onClick={() => set({ dots: null }, "no dots")}>a line again</WordButton>
        </>
      ) : (
        <>
          , corners{" "}
          <Choice
            label="line corners"
            value={line.join}
            choices={choicesOf(LINE_JOINS, CORNER_WORDS)}
            onChange={(join) => set({ join }, `line corners ${CORNER_WORDS[join]}`)}
          />
          , ends{" "}
          <Choice
            label="line ends"
            value={line.cap}
            choices={choicesOf(CAPS, CAP_WORDS)}
            onChange={(cap) => set({ cap }, `line ends ${CAP_WORDS[cap]}`)}
          />
          , <DashPanel line={line} onSet={(dash, label, gesture) => set({ dash }, label, gesture)} />
          <WordButton onClick={() => set({ dots: { gap: 1 }, dash: [] }, "dots")}>make it dots</WordButton>
        </>
      )}
    </>
  );
}

interface DashPanelProps {
  readonly line: LineValue;
  onSet: (dash: LineValue["dash"], label: string, gesture?: string) => void;
}

function DashPanel({ line, onSet }: DashPanelProps) {
  if (line.dash.length === 0) {
    return (
      <>
        unbroken <WordButton onClick={() => onSet([3, 2], "dash the line")}>dash it</WordButton>
      </>
    );
  }
  return (
    <>
      dashed{" "}
      {line.dash.map((length, index) => (
        <span key={index}>
          {index > 0 && " and "}
          <TableNumber
            label={index % 2 === 0 ? "dash" : "dash gap"}
            stored={length}
            standard={2}
            field={DASH}
            onSet={(next, change, gesture) =>
              onSet(
                line.dash.map((old, at) => (at === index ? (next ?? 2) : old)),
                change,
                gesture && `dash${index}/${gesture}`,
              )
            }
          />
        </span>
      ))}
      <WordButton onClick={() => onSet([], "an unbroken line")}>unbroken</WordButton>
    </>
  );
}
