import { goneRound, tidied } from "../boolean/boolean";
import { boxOfPath, type Path } from "../path";
import { besideRun } from "./besideRun";
import type { OffsetCorners } from "./offsetCorners";

/** Curves beside curves are true to this, millimetres; beside small outlines to this share of their size. */
const WITHIN = 0.001;
const SHARE = 1 / 40_000;

/**
 * The outline at a distance outwards (millimetres; inwards below 0) of the area that closed runs enclose by the
 * nonzero rule; open runs are left out. Straight sides stay straight, arcs stay arcs. The geometry engine must have been
 * loaded.
 */
export function offsetPath(path: Path, by: number, corners: OffsetCorners): Path {
  const closed = path.filter((run) => run.closed);
  if (closed.length === 0 || by === 0) return closed;
  // United first: outlines and holes run the right ways, and nothing crosses.
  const whole = tidied(closed);
  const { left, top, right, bottom } = boxOfPath(whole);
  const within = Math.min(WITHIN, Math.max(right - left, bottom - top) * SHARE);
  // What the line beside a bend or a narrow place does too much runs round the wrong way.
  return goneRound(whole.map((run) => besideRun(run, by, corners, within)));
}
