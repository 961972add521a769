import { choice } from "../../fields/choice";
import { following } from "../../fields/number";
import { scaling } from "../../geometry/matrix";
import { transformPath, type Path } from "../../geometry/path";
import { defineMotif } from "../definition";
import type { Drawing, Piece, PieceLine } from "../drawing";
import { lengthHandle } from "../handles";
import { SOURCE, type SvgShapeValue, type SvgSourceValue } from "./source";
import { pathOfData } from "./pathOfData";

interface SvgValues {
  readonly source: SvgSourceValue;
  readonly width: number | undefined;
  readonly height: number | undefined;
  readonly colors: "own" | "finish";
}

/** A picture from another program, centred on the origin. */
export const svg = defineMotif<SvgValues>({
  kind: "svg",
  origin: "made",
  fields: {
    source: SOURCE,
    width: following("length", { min: 0.001 }),
    height: following("length", { min: 0.001 }),
    /** Painted in the picture's own colours, or by the part's finish. */
    colors: choice(["own", "finish"], "own"),
  },
  outline(values): Drawing {
    const { x, y } = scaleOf(values);
    const pieces = values.source.shapes.map((shape) => pieceOf(shape, x, y, values.colors));
    const path: Path = pieces.flatMap((piece) => piece.path);
    return { path, pieces, notes: [] };
  },
  handles(values) {
    const { x, y } = scaleOf(values);
    const { source } = values;
    return [
      lengthHandle("width", { x: 0, y: 0 }, 90, source.width * x, 0.5),
      lengthHandle("height", { x: 0, y: 0 }, 180, source.height * y, 0.5),
    ];
  },
});

/** A side that is not given follows the other, so that the picture keeps its proportions. */
function scaleOf({ source, width, height }: SvgValues): { x: number; y: number } {
  const across = width === undefined ? undefined : width / source.width;
  const down = height === undefined ? undefined : height / source.height;
  return { x: across ?? down ?? 1, y: down ?? across ?? 1 };
}

function pieceOf(shape: SvgShapeValue, x: number, y: number, colors: SvgValues["colors"]): Piece {
  const paint = (color: string) => (colors === "own" ? ({ own: color } as const) : ("finish" as const));
  const size = Math.sqrt(x * y);
  const line: PieceLine | null = shape.line
    ? {
        paint: colors === "own" ? { own: shape.line.color } : null,
        width: shape.line.width * size,
        cap: shape.line.cap ?? "butt",
        join: shape.line.join ?? "miter",
        dash: (shape.line.dash ?? []).map((length) => length * size),
      }
    : null;
  return {
    path: transformPath(pathOfData(shape.d), scaling(x, y)),
    fill: shape.fill === null ? null : paint(shape.fill),
    fillRule: shape.rule ?? "nonzero",
    line: colors === "own" ? (line ?? NO_STROKE) : null,
    opacity: shape.opacity ?? 1,
  };
}

/** A picture in its own colours has no line where it had none, whatever the finish draws. */
const NO_STROKE: PieceLine = { paint: null, width: 0, cap: "butt", join: "miter", dash: [] };
