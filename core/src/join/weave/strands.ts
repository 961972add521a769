import { monotone } from "../../geometry/monotone";
import { sizeOf } from "../../geometry/matrix";
import { transformPath, type Subpath } from "../../geometry/path";
import { stripLine, type StripLine } from "../../geometry/strip/strip";
import type { LineShape } from "../../geometry/strip/lineShape";
import { matrixAt, type Placements } from "../../rules/placements";
import type { Shape } from "../../rules/shape";

/** One run of one copy as a band of the line's width, on the sheet. Millimetres. */
export interface Strand {
  /** The copy it belongs to. */
  readonly copy: number;
  /** Its outline. */
  readonly run: Subpath;
  /** Its outline, measured and cut at corners. */
  readonly line: StripLine;
  /** Millimetres. */
  readonly length: number;
  /** Its width at a distance along it, both millimetres. */
  widthAt: (length: number) => number;
}

/** The bands that copies drawn with a line are. */
export function strandsOf(
  { shapes, placements }: { readonly shapes: readonly Shape[]; readonly placements: Placements },
  line: Pick<LineShape, "width" | "swell" | "widths">,
): Strand[] {
  const strands: Strand[] = [];
  const swell = line.swell.length > 0 ? monotone(line.swell) : null;
  for (let copy = 0; copy < placements.count; copy++) {
    const matrix = matrixAt(placements.matrices, copy);
    const size = line.widths === "same" ? 1 : sizeOf(matrix);
    for (const run of transformPath(shapes[placements.shapeOf?.[copy] ?? 0]?.path ?? [], matrix)) {
      const laid = stripLine(run);
      const { length } = laid.measured;
      if (length <= 0) continue;
      const widthAt = swell ? (at: number) => swell(at / length) * size : () => line.width * size;
      strands.push({ copy, run, line: laid, length, widthAt });
    }
  }
  return strands;
}
