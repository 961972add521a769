import { array, lazy, mixed, string } from "yup";
import { isHexColor } from "../../design/colors";
import { extent, number, structure, type FieldValue } from "../../design/field";
import { MOST_STROKE_POINTS, MOST_STROKES } from "../../design/most";
import { exactly, plainNumber } from "../../design/schemaPieces";
import type { StrokeStyle, StrokeValue } from "../../design/structures";
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
    strokes: structure<readonly StrokeValue[], readonly StrokeValue[]>({
      default: [],
      is: isStrokes,
      schema: () => array(strokeSchema().required()).max(MOST_STROKES),
      resolve: (stored) => stored,
    }),
    /** What single strokes have of their own, by their number. */
    styles: structure<readonly (StrokeStyle | null)[], readonly (StrokeStyle | null)[]>({
      default: [],
      is: isStyles,
      schema: () => array(styleSchema()).max(MOST_STROKES),
      resolve: (stored) => stored,
    }),
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
      told: [],
      pieces: coloured ? outlines.map((outline, index) => pieceOf(outline, styles[index]?.color)) : null,
    };
  },
});

function pieceOf(path: Path, color: string | undefined): Piece {
  return { path, fill: color === undefined ? "finish" : { own: color }, fillRule: "nonzero", line: null, opacity: 1 };
}

function isStrokes(stored: FieldValue): stored is readonly StrokeValue[] {
  return Array.isArray(stored);
}

function isStyles(stored: FieldValue): stored is readonly (StrokeStyle | null)[] {
  return Array.isArray(stored);
}

const FARTHEST = 10_000;

function strokeSchema() {
  return array(mixed().required().test("point", "must be [x, y, pressure], three numbers within 10000 mm", isPoint))
    .min(1)
    .max(MOST_STROKE_POINTS);
}

function isPoint(value: unknown): boolean {
  return (
    Array.isArray(value) &&
    value.length === 3 &&
    value.every((entry) => typeof entry === "number" && Number.isFinite(entry) && Math.abs(entry) <= FARTHEST)
  );
}

function styleSchema() {
  return lazy((value: unknown) =>
    value === null
      ? mixed().nullable()
      : exactly({
          width: plainNumber().test("width", "must be more than 0", (width) => width === undefined || width > 0),
          color: string().test(
            "color",
            "must be #RRGGBB or #RRGGBBAA",
            (text) => text === undefined || isHexColor(text),
          ),
        }),
  );
}
