import type { Point } from "../../geometry/point";
import type { HeadMove } from "./readProgram";

/** Chords of an arc stay this near to it unless something else is asked, millimetres. */
const NEAR = 0.05;

/** The length of a move, millimetres. */
export function headLength({ from, to, centre, clockwise }: HeadMove): number {
  if (!centre) return Math.hypot(to.x - from.x, to.y - from.y);
  return sweep(from, to, centre, clockwise) * Math.hypot(from.x - centre.x, from.y - centre.y);
}

/** Points along a move whose chords stay near it, its ends and the outermost places of an arc among them. Millimetres, y up. */
export function pointsOfMove({ from, to, centre, clockwise }: HeadMove, near = NEAR): Point[] {
  if (!centre) return [from, to];
  const radius = Math.hypot(from.x - centre.x, from.y - centre.y);
  const swept = sweep(from, to, centre, clockwise);
  const start = Math.atan2(from.y - centre.y, from.x - centre.x);
  const way = clockwise ? -1 : 1;
  const quarter = Math.PI / 2;
  // A chord over an angle leaves its arc by r (1 − cos(angle / 2)).
  const step = 2 * Math.acos(Math.max(0, 1 - near / Math.max(near, radius)));
  const count = Math.ceil(swept / step);
  const angles = Array.from({ length: Math.max(0, count - 1) }, (_, k) => ((k + 1) * swept) / count);
  for (let k = -4; k <= 8; k++) {
    const away = way * (k * quarter - start);
    if (away > 0 && away < swept) angles.push(away);
  }
  const at = (angle: number) => ({
    x: centre.x + radius * Math.cos(start + way * angle),
    y: centre.y + radius * Math.sin(start + way * angle),
  });
  return [from, ...angles.sort((a, b) => a - b).map(at), to];
}

/** The angle an arc goes round, radians; a whole turn where it ends where it begins. */
function sweep(from: Point, to: Point, centre: Point, clockwise: boolean): number {
  const [a, b] = [Math.atan2(from.y - centre.y, from.x - centre.x), Math.atan2(to.y - centre.y, to.x - centre.x)];
  const turned = (clockwise ? a - b : b - a) % (2 * Math.PI);
  const whole = turned < 0 ? turned + 2 * Math.PI : turned;
  return whole < 1e-9 ? 2 * Math.PI : whole;
}
