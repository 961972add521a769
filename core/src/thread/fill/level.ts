import { apply, rotation } from "../../geometry/matrix";
import { between, type Point } from "../../geometry/point";
import type { FillStitch } from "../stitchFields";

/** A plane in which rows of stitches are level lines, and the way there and back. */
export interface Level {
  /** A polygon carried there. */
  readonly to: (polygon: readonly Point[]) => Point[];
  /** A point carried back. */
  readonly back: (point: Point) => Point;
}

/** Straight edges are carried by so many pieces a wave. */
const PIECES = 24;

/** The plane in which rows at an angle, bowed as waves, are level. */
export function levelOf({ angle, wave }: Pick<FillStitch, "angle" | "wave">): Level {
  const [there, back] = [rotation(-angle), rotation(angle)];
  if (wave.height === 0) {
    return { to: (polygon) => polygon.map((point) => apply(there, point)), back: (point) => apply(back, point) };
  }
  const bow = (x: number) => (wave.height / 2) * Math.sin((2 * Math.PI * x) / wave.length);
  return {
    to: (polygon) =>
      inPieces(
        polygon.map((point) => apply(there, point)),
        wave.length / PIECES,
      ).map(({ x, y }) => ({ x, y: y - bow(x) })),
    back: ({ x, y }) => apply(back, { x, y: y + bow(x) }),
  };
}

function inPieces(polygon: readonly Point[], longest: number): Point[] {
  return polygon.flatMap((from, k) => {
    const to = polygon[(k + 1) % polygon.length] ?? from;
    const pieces = Math.max(1, Math.ceil(Math.abs(to.x - from.x) / longest));
    return Array.from({ length: pieces }, (_, piece) => between(from, to, piece / pieces));
  });
}
