import { extent, number } from "../../fields/number";
import { STROKE_STYLES, STROKES, type StrokeStyle, type StrokeValue } from "./strokes";
import type { Path } from "../../geometry/path";
import { defineMotif } from "../definition";
import type { Drawing, Piece } from "../drawing";
import { strokeOutline } from "./strokeOutline";

interface FreehandValues {
  readonly strokes: readonly StrokeValue[];
  readonly styles: readonly (StrokeStyle | null)[];
  readonly steady: number;
  readonly taper: number;
  readonly width: number;
  readonly pressing: number;
}

/** Strokes drawn by hand, each an area of its own width. */
export const freehand = defineMotif<FreehandValues>({
  kind: "freehand",
  origin: "made",
  fields: {
    strokes: STROKES,
    /** What single strokes have of their own, by their number. */
    styles: STROKE_STYLES,
    /** 0 as drawn … 1 very steadied. */
    steady: number("share", 0.5),
    /** 0 blunt ends … 1 tapering all the way. */
    taper: number("share", 0.3),
    /** At full pressure, millimetres. */
    width: extent(3),
    /** How much lighter pressure thins the line. */
    pressing: number("share", 0.5),
  },
  outline({ strokes, styles, ...hand }): Drawing {
    const outlines = strokes.map((stroke, index) =>
      strokeOutline(stroke, { ...hand, width: styles[index]?.width ?? hand.width }),
    );
    const path: Path = outlines.flat();
    const coloured = strokes.some((_, index) => styles[index]?.color !== undefined);
    return {
      path,
      notes: [],
      pieces: coloured ? outlines.map((outline, index) => pieceOf(outline, styles[index]?.color)) : null,
    };
  },
});

function pieceOf(path: Path, color: string | undefined): Piece {
  return { path, fill: color === undefined ? "finish" : { own: color }, fillRule: "nonzero", line: null, opacity: 1 };
}
