import { choice } from "../../fields/choice";
import { extent, number } from "../../fields/number";
import { structure } from "../../fields/structure";
import { text as words } from "../../fields/text";
import { toggle } from "../../fields/toggle";
import { list } from "../../fields/list";
import { LONGEST_TEXT } from "../../fields/most";
import { translation } from "../../geometry/matrix";
import { transformPath, type Path } from "../../geometry/path";
import { defineMotif } from "../definition";
import type { Drawing, Surroundings } from "../drawing";
import { lengthHandle } from "../handles";
import { FONT_IDS, FONTS } from "./fonts";
import { capHeight, missingLetters, setRow, type Row } from "./letters";
import { isTextLine, resolveTextLine, TEXT_LINE, type TextLine, type TextLineValue } from "./lineForText";
import { setOnLine } from "./setOnLine";

interface TextValues {
  readonly text: string;
  readonly font: string;
  readonly size: number;
  readonly spacing: number;
  readonly raise: readonly number[];
  readonly on: TextLine | null;
  readonly repeatToFill: boolean;
}

/** Lettering: a row centred on the origin, or set on a circle or another part's line. */
export const text = defineMotif<TextValues>({
  kind: "text",
  origin: "made",
  fields: {
    text: words("Brinewick", LONGEST_TEXT),
    font: choice(FONT_IDS, "alegreya-sans"),
    /** Of the em, millimetres. */
    size: extent(20),
    /** Added between letters. */
    spacing: number("length", 0, { step: 0.1 }),
    /** How far each letter is raised, by its character's number. */
    raise: list(number("length", 0), { most: LONGEST_TEXT }),
    on: structure<TextLineValue, TextLine | null>({
      default: null,
      is: isTextLine,
      of: TEXT_LINE,
      resolve: resolveTextLine,
    }),
    repeatToFill: toggle(false),
  },
  outline(values, surroundings): Drawing {
    return { path: pathOf(values, surroundings), pieces: null, notes: notesOf(values) };
  },
  handles: ({ size, on }) => {
    if (on?.kind === "circle") return [lengthHandle("on.radius", { x: 0, y: 0 }, on.start, on.radius)];
    return on ? [] : [lengthHandle("size", { x: 0, y: size / 2 }, 0, size)];
  },
  needs: ({ font }) => ({ fonts: [font] }),
  uses: ({ on }) => (on?.kind === "part" ? [on.part] : []),
});

function pathOf(values: TextValues, surroundings: Surroundings): Path {
  const set = setRow(values.text, values.font, values.size, values.spacing);
  const row = raised(set, values.raise, values.on?.off ?? 0);
  if (values.on) return setOnLine(row, values.on, values.repeatToFill, values.spacing, surroundings);
  const baseline = capHeight(values.font, values.size) / 2;
  return row.letters.flatMap(({ outline, at }) => transformPath(outline, translation(at - row.width / 2, baseline)));
}

function notesOf({ text, font }: TextValues): string[] {
  const missing = missingLetters(text, font);
  const name = FONTS.find(({ id }) => id === font)?.name ?? font;
  return missing.length > 0
    ? [`${name} has no letter for ${missing.join(" ")}; choose another font or other words`]
    : [];
}

/** Each letter raised by its own length, and all of them by one. */
function raised(row: Row, raise: readonly number[], all: number): Row {
  if (raise.length === 0 && all === 0) return row;
  return {
    ...row,
    letters: row.letters.map((letter) => {
      const by = all + (raise[letter.character] ?? 0);
      return by === 0 ? letter : { ...letter, outline: transformPath(letter.outline, translation(0, -by)) };
    }),
  };
}
