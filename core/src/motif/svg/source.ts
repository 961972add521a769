import { array, string } from "yup";
import { isHexColor } from "../../fields/colors";
import { entriesOf } from "../../fields/entries";
import { MOST_SHAPES } from "../../fields/most";
import { plain } from "../../fields/plain";
import { exactly, plainNumber } from "../../fields/schemaPieces";
import { isRecord } from "../../fields/stored";
import { CAPS, LINE_JOINS, type Cap, type LineJoin } from "../../geometry/strip/lineShape";

/** One shape of an imported picture, cleaned: millimetres about the picture's middle. */
export type SvgShapeValue = {
  /** Path data of M, L, C and Z. */
  readonly d: string;
  readonly fill: string | null;
  readonly rule?: "nonzero" | "evenodd";
  readonly line?: {
    readonly color: string;
    readonly width: number;
    readonly cap?: Cap;
    readonly join?: LineJoin;
    readonly dash?: readonly number[];
  };
  readonly opacity?: number;
};

/** An imported picture at its own size, millimetres. */
export type SvgSourceValue = {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly SvgShapeValue[];
};

/** An imported picture: plain data, in which nothing is a formula or a name. */
export const SOURCE = plain<SvgSourceValue>({
  standard: { width: 1, height: 1, shapes: [] },
  is: isSource,
  schema: sourceSchema,
});

function isSource(stored: unknown): stored is SvgSourceValue {
  return isRecord(stored) && "shapes" in stored;
}

function color() {
  return string().test(
    "color",
    "must be #RRGGBB or #RRGGBBAA",
    (text) => text === null || text === undefined || isHexColor(text),
  );
}

function sourceSchema() {
  const side = () => plainNumber().test("side", "must be more than 0", (value) => value !== undefined && value > 0);
  const line = exactly({
    color: color().required(),
    width: plainNumber().required(),
    cap: string().oneOf(CAPS),
    join: string().oneOf(LINE_JOINS),
    dash: array(plainNumber().required()),
  }).default(undefined);
  const shape = exactly({
    d: string()
      .required()
      .test("path", "must be path data of M, L, C and Z", (text) => /^[MLCZ\d\s.,-]*$/.test(text)),
    fill: color().nullable(),
    rule: string().oneOf(["nonzero", "evenodd"]),
    line: line.optional(),
    opacity: plainNumber(),
  });
  return exactly({
    width: side(),
    height: side(),
    shapes: entriesOf(MOST_SHAPES, shape, (shapes) => shapes.required()),
  })
    .default(undefined)
    .optional();
}
