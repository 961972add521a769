import type { Glyph } from "fontkit";
import { fontOf } from "../../engines/fontBook";
import type { Cubic } from "../../geometry/cubic";
import { straight } from "../../geometry/cubic";
import { subpathOf, type Path, type Subpath } from "../../geometry/path";
import { between, type Point } from "../../geometry/point";

/** One letter set in a row: its outline about its own origin on the baseline, and the room it takes. Millimetres. */
export interface Letter {
  /** Where it starts along the row. */
  readonly at: number;
  /** How far the next letter is, millimetres. */
  readonly advance: number;
  /** About its own origin, millimetres. */
  readonly outline: Path;
  /** The number of its first character in the text. */
  readonly character: number;
}

/** Letters in a row from 0 to the row's width, kerned as the font says. */
export interface Row {
  /** In order. */
  readonly letters: readonly Letter[];
  /** Millimetres. */
  readonly width: number;
}

/** Millimetres of the em a font size of 1 mm has; sizes are of the em, as in all typesetting. */
export function setRow(text: string, font: string, size: number, spacing: number): Row {
  const opened = fontOf(font);
  const scale = size / opened.unitsPerEm;
  const { glyphs, positions } = opened.layout(text);
  let at = 0;
  let character = 0;
  const letters = glyphs.map((glyph, index): Letter => {
    const position = positions[index];
    const advance = (position?.xAdvance ?? glyph.advanceWidth) * scale;
    const letter: Letter = {
      at,
      advance,
      outline: outlineOf(glyph, scale, position?.xOffset ?? 0, position?.yOffset ?? 0),
      character,
    };
    character += glyph.codePoints.length;
    at += advance + spacing;
    return letter;
  });
  return { letters, width: Math.max(0, at - (letters.length > 0 ? spacing : 0)) };
}

/** Characters of a text a font has no letter for, each once. */
export function missingLetters(text: string, font: string): string[] {
  const opened = fontOf(font);
  return [...new Set(text)].filter((character) => !opened.hasGlyphForCodePoint(character.codePointAt(0) ?? 0));
}

/** Height of the capitals, millimetres; lettering is centred on half of it. */
export function capHeight(font: string, size: number): number {
  const opened = fontOf(font);
  return ((opened.capHeight || opened.ascent * 0.7) / opened.unitsPerEm) * size;
}

const remembered = new WeakMap<Glyph, Map<number, Path>>();

function outlineOf(glyph: Glyph, scale: number, xOffset: number, yOffset: number): Path {
  if (xOffset !== 0 || yOffset !== 0) return drawGlyph(glyph, scale, xOffset, yOffset);
  const known = remembered.get(glyph)?.get(scale);
  if (known) return known;
  const drawn = drawGlyph(glyph, scale, 0, 0);
  const sizes = remembered.get(glyph) ?? new Map<number, Path>();
  sizes.set(scale, drawn);
  remembered.set(glyph, sizes);
  return drawn;
}

/** A glyph's outline: fonts have y up, sheets have y down. Quadratic curves are raised to cubics, exactly. */
function drawGlyph(glyph: Glyph, scale: number, xOffset: number, yOffset: number): Path {
  const runs: Subpath[] = [];
  let segments: Cubic[] = [];
  let at: Point = { x: 0, y: 0 };
  let start: Point = at;
  const place = (x = 0, y = 0): Point => ({ x: (x + xOffset) * scale, y: -(y + yOffset) * scale });
  const finish = () => {
    if (segments.length > 0) runs.push(subpathOf(closing(segments, at, start), true));
    segments = [];
  };
  for (const { command, args } of glyph.path.commands) {
    const [a, b, c, d, e, f] = args;
    switch (command) {
      case "moveTo":
        finish();
        at = start = place(a, b);
        break;
      case "lineTo": {
        const end = place(a, b);
        segments.push(straight(at, end));
        at = end;
        break;
      }
      case "quadraticCurveTo": {
        const [handle, end] = [place(a, b), place(c, d)];
        segments.push([at, between(at, handle, 2 / 3), between(end, handle, 2 / 3), end]);
        at = end;
        break;
      }
      case "bezierCurveTo": {
        const end = place(e, f);
        segments.push([at, place(a, b), place(c, d), end]);
        at = end;
        break;
      }
      case "closePath":
        finish();
        at = start;
        break;
    }
  }
  finish();
  return runs;
}

function closing(segments: readonly Cubic[], at: Point, start: Point): readonly Cubic[] {
  return at.x === start.x && at.y === start.y ? segments : [...segments, straight(at, start)];
}
