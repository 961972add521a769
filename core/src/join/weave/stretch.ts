import type { Path } from "../../geometry/path";
import { cornerAtStart, stripAlong } from "../../geometry/strip/strip";
import type { LineShape } from "../../geometry/strip/lineShape";
import type { Strand } from "./strands";

/** A stretch of a strand, millimetres along it; on a closed one it may begin below 0 or end beyond the strand's length. */
export interface Stretch {
  /** The strand's number. */
  readonly strand: number;
  readonly from: number;
  readonly to: number;
}

/** How bands end, go around corners and whether their width changes. */
export type BandEnds = Pick<LineShape, "cap" | "join" | "swell">;

/** A real end of a strand is laid with its cap over so much of it, millimetres. */
const AT_END = 1e-3;

/** The area of a strand's band, or of a stretch of it: cut straight across where the strand goes on. `wider` is added to the width. */
export function bandOf({ line, length, run, widthAt }: Strand, ends: BandEnds, stretch?: Stretch, wider = 0): Path {
  const width = wider === 0 ? widthAt : (along: number) => widthAt(along) + wider;
  const changing = ends.swell.length > 1;
  const lay = (from: number, to: number, cap: LineShape["cap"]) =>
    stripAlong(line, from, to, width, { cap, join: ends.join }, changing);
  if (!stretch || (run.closed && stretch.to - stretch.from >= length)) return lay(0, length, ends.cap);
  const { from, to } = stretch;
  if (run.closed) {
    return [
      ...lay(Math.max(0, from), Math.min(length, to), "butt"),
      ...(from < 0 ? lay(length + from, length, "butt") : []),
      ...(to > length ? lay(0, to - length, "butt") : []),
      ...(from < 0 || to > length ? cornerAtStart(line, width(0), ends.join) : []),
    ];
  }
  return [
    ...lay(Math.max(0, from), Math.min(length, to), "butt"),
    ...(from <= 0 && ends.cap !== "butt" ? lay(0, AT_END, ends.cap) : []),
    ...(to >= length && ends.cap !== "butt" ? lay(length - AT_END, length, ends.cap) : []),
  ];
}

/** Whether a stretch has neither an end of its strand nor a corner within, nor one near by (millimetres). */
export function isSmooth({ line: { runs }, length, run }: Strand, { from, to }: Stretch, near: number): boolean {
  const [start, end] = [from - near, to + near];
  if (!run.closed && (start <= 0 || end >= length)) return false;
  if (runs.length < 2 && !run.closed) return true;
  const corners = runs.map((smooth) => smooth.from).concat(runs.length > 1 ? length : []);
  return !corners.some((corner) =>
    [-length, 0, length].some((round) => start <= corner + round && corner + round <= end),
  );
}

/** Whether two stretches of one strand have a place in common. */
export function overlap(a: Stretch, b: Stretch, length: number): boolean {
  if (a.strand !== b.strand) return false;
  return [-length, 0, length].some((round) => a.from < b.to + round && b.from + round < a.to);
}
