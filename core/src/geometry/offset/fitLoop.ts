import type { Subpath } from "../path";

/** Directions that differ by more at a vertex are a corner, radians. */
const CORNER = 0.3;
/** Vertices one curve may span. */
const LONGEST = 64;

/**
 * A closed polygon, given by the coordinates of its vertices, as cubics none of its vertices leaves by more than the
 * tolerance. A curve's ends go the way of the circle through three vertices; it spans as many vertices as it can.
 */
export function fitLoop(x: ArrayLike<number>, y: ArrayLike<number>, tolerance: number): Subpath {
  const loop = new FlatLoop(x, y);
  const first = loop.firstCorner();
  const coordinates = [x[first] ?? 0, y[first] ?? 0];
  for (let at = 0; at < loop.count;) {
    const span = longestSpan(loop, first + at, loop.count - at, tolerance);
    coordinates.push(...loop.curve(first + at, span));
    at += span;
  }
  return { closed: true, coordinates };
}

/** Spans are doubled as long as they fit. */
function longestSpan(loop: FlatLoop, from: number, most: number, tolerance: number): number {
  let span = 1;
  for (let next = 2; next <= Math.min(most, LONGEST); next *= 2) {
    if (!loop.fits(from, next, tolerance)) break;
    span = next;
  }
  return span;
}

/** A polygon's vertices, counted round and round, with the way the outline goes before and after each. */
class FlatLoop {
  readonly count: number;
  private readonly length: Float64Array;
  private readonly turn: Float64Array;

  constructor(
    private readonly x: ArrayLike<number>,
    private readonly y: ArrayLike<number>,
  ) {
    this.count = x.length;
    this.length = new Float64Array(this.count);
    this.turn = new Float64Array(this.count);
    for (let k = 0; k < this.count; k++) this.length[k] = Math.hypot(this.dx(k), this.dy(k));
    for (let k = 0; k < this.count; k++) this.turn[k] = this.turnAt(k);
  }

  /** The first vertex that is a corner; 0 where there is none. */
  firstCorner(): number {
    return Math.max(
      0,
      this.turn.findIndex((turn) => Math.abs(turn) > CORNER),
    );
  }

  fits(from: number, span: number, tolerance: number): boolean {
    for (let k = 1; k < span; k++) if (Math.abs(this.turn[this.at(from + k)] ?? 0) > CORNER) return false;
    const [ax, ay, bx, by, cx, cy] = this.curve(from, span);
    const [sx, sy] = [this.x[this.at(from)] ?? 0, this.y[this.at(from)] ?? 0];
    const whole = this.lengthOf(from, span);
    let along = 0;
    for (let k = 1; k < span; k++) {
      along += this.length[this.at(from + k - 1)] ?? 0;
      const t = along / whole;
      const s = 1 - t;
      const px = s * s * s * sx + 3 * s * s * t * ax + 3 * s * t * t * bx + t * t * t * cx;
      const py = s * s * s * sy + 3 * s * s * t * ay + 3 * s * t * t * by + t * t * t * cy;
      const tx = s * s * (ax - sx) + 2 * s * t * (bx - ax) + t * t * (cx - bx);
      const ty = s * s * (ay - sy) + 2 * s * t * (by - ay) + t * t * (cy - by);
      const [ex, ey] = [(this.x[this.at(from + k)] ?? 0) - px, (this.y[this.at(from + k)] ?? 0) - py];
      // Only the distance across counts: along the curve the pace may differ.
      if (Math.abs(ex * ty - ey * tx) > tolerance * Math.hypot(tx, ty)) return false;
    }
    return true;
  }

  /** The two handles and the end of a curve over so many edges. */
  curve(from: number, span: number): [number, number, number, number, number, number] {
    const [start, end] = [this.at(from), this.at(from + span)];
    const [sx, sy, ex, ey] = [this.x[start] ?? 0, this.y[start] ?? 0, this.x[end] ?? 0, this.y[end] ?? 0];
    if (span === 1) return [sx, sy, ex, ey, ex, ey];
    const third = this.lengthOf(from, span) / 3;
    const leave = this.directionAt(start, 1);
    const arrive = this.directionAt(end, -1);
    return [sx + leave.x * third, sy + leave.y * third, ex - arrive.x * third, ey - arrive.y * third, ex, ey];
  }

  /** The direction of travel at a vertex; at a corner that of the side asked for. */
  private directionAt(vertex: number, side: 1 | -1): { x: number; y: number } {
    const before = this.at(vertex - 1);
    const [a, b] = [this.length[before] ?? 1, this.length[vertex] ?? 1];
    if (Math.abs(this.turn[vertex] ?? 0) > CORNER) return this.cornerDirection(vertex, side);
    // The tangent of the circle through the vertex and its neighbours: the nearer chord counts for more.
    const x = (this.dx(before) / a) * b + (this.dx(vertex) / b) * a;
    const y = (this.dy(before) / a) * b + (this.dy(vertex) / b) * a;
    const length = Math.hypot(x, y) || 1;
    return { x: x / length, y: y / length };
  }

  /** At the end of a curve the outline goes half a turn further than its last chord. */
  private cornerDirection(vertex: number, side: 1 | -1): { x: number; y: number } {
    const edge = side === 1 ? vertex : this.at(vertex - 1);
    const near = this.turn[this.at(vertex + side)] ?? 0;
    const bend = Math.abs(near) > CORNER ? 0 : -side * near * 0.5;
    const length = this.length[edge] || 1;
    const [x, y] = [this.dx(edge) / length, this.dy(edge) / length];
    return { x: x * Math.cos(bend) - y * Math.sin(bend), y: x * Math.sin(bend) + y * Math.cos(bend) };
  }

  private at(vertex: number): number {
    return ((vertex % this.count) + this.count) % this.count;
  }

  private dx(edge: number): number {
    return (this.x[this.at(edge + 1)] ?? 0) - (this.x[edge] ?? 0);
  }

  private dy(edge: number): number {
    return (this.y[this.at(edge + 1)] ?? 0) - (this.y[edge] ?? 0);
  }

  private turnAt(vertex: number): number {
    const before = this.at(vertex - 1);
    const [ax, ay, bx, by] = [this.dx(before), this.dy(before), this.dx(vertex), this.dy(vertex)];
    return Math.atan2(ax * by - ay * bx, ax * bx + ay * by);
  }

  private lengthOf(from: number, span: number): number {
    let sum = 0;
    for (let k = 0; k < span; k++) sum += this.length[this.at(from + k)] ?? 0;
    return sum;
  }
}
