import type { Point } from "./point";

/** One cubic Bézier segment: start, two handles (absolute), end. Millimetres. */
export type Cubic = readonly [start: Point, leave: Point, arrive: Point, end: Point];

/** A straight segment: its handles rest on its ends. */
export function straight(start: Point, end: Point): Cubic {
  return [start, start, end, end];
}

/** Whether a cubic is a straight line, evenly gone along. */
export function isStraight([start, leave, arrive, end]: Cubic): boolean {
  return leave.x === start.x && leave.y === start.y && arrive.x === end.x && arrive.y === end.y;
}

function coordinateAt(p0: number, p1: number, p2: number, p3: number, t: number): number {
  const s = 1 - t;
  return s * s * s * p0 + 3 * s * s * t * p1 + 3 * s * t * t * p2 + t * t * t * p3;
}

/** The point at parameter t (0…1). */
export function pointAt([p0, p1, p2, p3]: Cubic, t: number): Point {
  const s = 1 - t;
  const [first, second, third, fourth] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
  return {
    x: first * p0.x + second * p1.x + third * p2.x + fourth * p3.x,
    y: first * p0.y + second * p1.y + third * p2.y + fourth * p3.y,
  };
}

/** The derivative by the parameter at t: millimetres for each 1 of t. */
export function derivativeAt([p0, p1, p2, p3]: Cubic, t: number): Point {
  const s = 1 - t;
  const [first, second, third] = [3 * s * s, 6 * s * t, 3 * t * t];
  return {
    x: first * (p1.x - p0.x) + second * (p2.x - p1.x) + third * (p3.x - p2.x),
    y: first * (p1.y - p0.y) + second * (p2.y - p1.y) + third * (p3.y - p2.y),
  };
}

/** A straight segment with its handles at the thirds: the same line, travelled at an even pace. */
export function atEvenPace([start, , , end]: Cubic): Cubic {
  const at = (t: number) => ({ x: start.x + (end.x - start.x) * t, y: start.y + (end.y - start.y) * t });
  return [start, at(1 / 3), at(2 / 3), end];
}

/**
 * The direction of travel at parameter t, as a unit vector. Where a handle rests on its end that is the way to the other
 * handle; the chord's where both do.
 */
export function tangentAt(cubic: Cubic, t: number): Point {
  const { x, y } = derivativeAt(cubic, t);
  return inDirection(x, y) ?? restingTangent(cubic, t);
}

function restingTangent([start, leave, arrive, end]: Cubic, t: number): Point {
  const [from, to] = t < 0.5 ? [start, arrive] : [leave, end];
  return inDirection(to.x - from.x, to.y - from.y) ?? inDirection(end.x - start.x, end.y - start.y) ?? { x: 0, y: 0 };
}

/** The unit vector of a direction; null where there is none. */
function inDirection(x: number, y: number): Point | null {
  const length = Math.sqrt(x * x + y * y);
  return length > 1e-12 ? { x: x / length, y: y / length } : null;
}

/** How fast the direction turns at parameter t, radians a millimetre, clockwise on the sheet above 0: (x'y'' − y'x'') / |c'|³. */
export function curvatureAt(cubic: Cubic, t: number): number {
  if (isStraight(cubic)) return 0;
  const [p0, p1, p2, p3] = cubic;
  const s = 1 - t;
  const [first, second, third] = [3 * s * s, 6 * s * t, 3 * t * t];
  const x = first * (p1.x - p0.x) + second * (p2.x - p1.x) + third * (p3.x - p2.x);
  const y = first * (p1.y - p0.y) + second * (p2.y - p1.y) + third * (p3.y - p2.y);
  const bendX = 6 * (s * (p2.x - 2 * p1.x + p0.x) + t * (p3.x - 2 * p2.x + p1.x));
  const bendY = 6 * (s * (p2.y - 2 * p1.y + p0.y) + t * (p3.y - 2 * p2.y + p1.y));
  const speed = Math.sqrt(x * x + y * y);
  return speed < 1e-9 ? 0 : (x * bendY - y * bendX) / (speed * speed * speed);
}

/** The piece between two parameters, exact (blossoming: de Casteljau with mixed parameters). */
export function pieceOf(cubic: Cubic, from: number, to: number): Cubic {
  if (isStraight(cubic)) return straight(pointAt(cubic, from), pointAt(cubic, to));
  const blossom = (u: number, v: number, w: number): Point => {
    const mix = (a: Point, b: Point, t: number): Point => ({
      x: a.x + (b.x - a.x) * t,
      y: a.y + (b.y - a.y) * t,
    });
    const [p0, p1, p2, p3] = cubic;
    const a = mix(p0, p1, u);
    const b = mix(p1, p2, u);
    const c = mix(p2, p3, u);
    return mix(mix(a, b, v), mix(b, c, v), w);
  };
  return [blossom(from, from, from), blossom(from, from, to), blossom(from, to, to), blossom(to, to, to)];
}

/**
 * Parameters in (0, 1) where one coordinate turns back: roots of the derivative, a quadratic,
 * solved in the form that loses no digits when its leading term is small.
 */
export function turningPoints(p0: number, p1: number, p2: number, p3: number): number[] {
  const a = p3 - 3 * p2 + 3 * p1 - p0;
  const b = 2 * (p2 - 2 * p1 + p0);
  const c = p1 - p0;
  const discriminant = b * b - 4 * a * c;
  if (discriminant < 0) return [];
  const q = -(b + (b < 0 ? -1 : 1) * Math.sqrt(discriminant)) / 2;
  return [q / a, c / q].filter((t) => t > 0 && t < 1);
}

/** Least and greatest value of one coordinate along the segment. */
export function extentOf(p0: number, p1: number, p2: number, p3: number): [least: number, greatest: number] {
  let least = Math.min(p0, p3);
  let greatest = Math.max(p0, p3);
  if (Math.min(p1, p2) >= least && Math.max(p1, p2) <= greatest) return [least, greatest];
  for (const t of turningPoints(p0, p1, p2, p3)) {
    const value = coordinateAt(p0, p1, p2, p3, t);
    least = Math.min(least, value);
    greatest = Math.max(greatest, value);
  }
  return [least, greatest];
}
