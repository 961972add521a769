import { array, lazy, mixed, string } from "yup";
import { isHexColor } from "../../fields/colors";
import { entriesOf } from "../../fields/entries";
import { MOST_STROKE_POINTS, MOST_STROKES } from "../../fields/most";
import { plain } from "../../fields/plain";
import { exactly, plainNumber } from "../../fields/schemaPieces";

/** Points of a freehand stroke in the order they were drawn: x, y in millimetres, pressure from 0 to 1. */
export type StrokeValue = readonly (readonly [x: number, y: number, pressure: number])[];

/** What one stroke has of its own, in place of what the motif says. */
export type StrokeStyle = {
  readonly width?: number;
  readonly color?: string;
};

/** Strokes: plain numbers. */
export const STROKES = plain<readonly StrokeValue[]>({
  standard: [],
  is: isStrokes,
  schema: () => entriesOf(MOST_STROKES, strokeSchema().required()),
});

/** What single strokes have of their own, by their number. */
export const STROKE_STYLES = plain<readonly (StrokeStyle | null)[]>({
  standard: [],
  is: isStyles,
  schema: () => entriesOf(MOST_STROKES, styleSchema()),
});

function isStrokes(stored: unknown): stored is readonly StrokeValue[] {
  return Array.isArray(stored);
}

function isStyles(stored: unknown): stored is readonly (StrokeStyle | null)[] {
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
