import { choice } from "../fields/choice";
import { following, number } from "../fields/number";
import { pair } from "../fields/pair";
import type { Conflict } from "../formula/problem";
import { FULL_TURN } from "../geometry/angle";
import { eccentricOf, evenAlongEllipse, outwardAt, pointOnEllipse, type EllipseRadii } from "../geometry/ellipse";
import type { Matrix } from "../geometry/matrix";
import { ORIGIN, polar, type Point } from "../geometry/point";
import { angleHandle, spanHandle } from "../motif/handles";
import { aroundLinks } from "./aroundLinks";
import { countMark } from "./countMark";
import { defineRule } from "./definition";
import { linkNumbers, type LinkedNumbers, type LinkReport } from "./linkedNumbers";
import { FACES, facingOf, standing, type Face } from "./facing";
import { layMatrix } from "./pack";
import { MATRIX_STRIDE } from "./placements";

interface RingValues {
  readonly count: number;
  readonly radius: Point;
  readonly start: number;
  readonly apart: number | undefined;
  readonly arc: number | undefined;
  readonly face: Face;
  readonly own: number;
  readonly rings: number;
  readonly gap: number;
  readonly growth: number;
  readonly stagger: number;
  readonly flipEvery: number;
  readonly spacing: "length" | "angle";
}

/** Copies on circles or ellipses about the origin. */
export const ring = defineRule<RingValues>({
  kind: "ring",
  fields: {
    count: number("count", 12),
    radius: pair("length", { x: 50, y: 50 }, { single: true, min: 0.001 }),
    /** Direction of the first copy, degrees. */
    start: number("angle", 0),
    /** Degrees from copy to copy; follows from count and arc unless it is held. */
    apart: following("angle", { min: -FULL_TURN, max: FULL_TURN }),
    /** A full circle, which it is unless said otherwise, is closed: its last copy stands one spacing before its first. */
    arc: following("angle", { min: -FULL_TURN, max: FULL_TURN }),
    face: choice(FACES, "out"),
    /** A turn of each copy about its own foot. */
    own: number("angle", 0),
    rings: number("count", 1, { max: 1_000 }),
    /** From ring to ring. */
    gap: number("length", 20),
    /** How many copies each ring has more than the one before. */
    growth: number("count", 0, { min: -10_000, max: 10_000 }),
    /** How far each ring is turned against the one before, in shares of its own spacing. */
    stagger: number("factor", 0, { min: -1, max: 1, step: 0.05 }),
    /** Every k-th copy is mirrored; 0 mirrors none. */
    flipEvery: number("count", 0, { min: 0 }),
    /** On an ellipse: evenly by its length, or by the angle seen from its centre. */
    spacing: choice(["length", "angle"], "length"),
  },
  copies: totalOf,
  transforms(values) {
    const numbers = linked(values);
    const counts = ringCounts(values, numbers);
    const total = counts.reduce((sum, count) => sum + count, 0);
    const matrices = new Float64Array(total * MATRIX_STRIDE);
    const rings = new Uint32Array(total);
    let copy = 0;
    counts.forEach((count, ring) => {
      const place = placerOf(values, numbers, ring, count);
      for (let j = 0; j < count; j++, copy++) {
        layMatrix(matrices, copy, place(j, isFlipped(copy, values.flipEvery)));
        rings[copy] = ring;
      }
    });
    return { matrices, rings };
  },
  marks(values) {
    const { radius, start } = values;
    const numbers = linked(values);
    const reach = Math.max(radius.x, radius.y) * OUTSIDE;
    const closed = Math.abs(numbers.span) === FULL_TURN;
    const counted = countMark(numbers, { field: "count", centre: ORIGIN, reach, from: start, closed });
    return [{ kind: "radius", field: "radius", radii: radius, start }, ...(counted ? [counted] : [])];
  },
  folds: (values) => ringLinks(values).count,
  links: (values) => [ringLinks(values)],
  handles(values) {
    const { radius, start } = values;
    const reach = Math.max(radius.x, radius.y);
    const { span, spacing } = linked(values);
    const outside = reach * OUTSIDE;
    const handles = [angleHandle("start", outside, start)];
    if (values.apart !== undefined) handles.push(spanHandle("apart", outside, start, spacing));
    if (values.arc !== undefined || values.apart === undefined) {
      // The end of a full circle is its start, where another handle stands.
      handles.push(spanHandle("arc", outside, start, span, Math.abs(span) > FULL_TURN - ASIDE ? -ASIDE : 0));
    }
    return handles;
  },
  conflicts(values) {
    const problems: Conflict[] = [];
    if (values.rings === 1) return problems;
    const steps = values.rings - 1;
    const radius = Math.min(values.radius.x, values.radius.y);
    if (radius + steps * values.gap <= 0) {
      const message = `takes ring ${values.rings} past the centre; it must be more than ${-radius / steps}`;
      problems.push({ path: "gap", message, mend: -radius / (steps + 1) });
    }
    const last = linked(values).count + steps * values.growth;
    if (last < 1) {
      problems.push({
        path: "growth",
        message: `leaves ring ${values.rings} with ${last} copies; it needs at least 1`,
        mend: Math.ceil((1 - linked(values).count) / steps),
      });
    }
    return problems;
  },
});

/** Handles of the start and the span stand outside the ring, in shares of its radius, clear of the radius's own. */
const OUTSIDE = 1.18;
/** Degrees. */
const ASIDE = 12;

function ringCounts(values: RingValues, { count } = linked(values)): number[] {
  return Array.from({ length: values.rings }, (_, ring) => Math.max(0, count + ring * values.growth));
}

/** How many copies stand on all rings together. */
function totalOf(values: RingValues): number {
  return ringCounts(values).reduce((sum, count) => sum + count, 0);
}

function isFlipped(copy: number, every: number): boolean {
  return every > 0 && (copy + 1) % every === 0;
}

/** Degrees from copy to copy: a closed circle divides by the count, an open arc by one less. */
export function ringSpacing(count: number, arc: number): number {
  const gaps = gapsOf(count, arc);
  return gaps === 0 ? 0 : arc / gaps;
}

function gapsOf(count: number, arc: number | null): number {
  return arc !== null && Math.abs(arc) === FULL_TURN ? count : count - 1;
}

const LINKED = { count: "count", spacing: "apart", span: "arc" } as const;

/** The numbers of the first ring. */
function linked({ count, apart, arc }: Pick<RingValues, "count" | "apart" | "arc">): LinkedNumbers {
  return linkNumbers({
    count,
    spacing: apart,
    span: arc,
    usual: { span: FULL_TURN },
    gaps: gapsOf,
    countFor: (gaps, span) => (Math.abs(span) === FULL_TURN ? gaps : gaps + 1),
  });
}

function ringLinks(values: RingValues): LinkReport {
  const numbers = linked(values);
  const { span, follows } = numbers;
  // An arc is at most a full circle, whatever its copies add up to; one that is open and held never closes.
  return aroundLinks(numbers, LINKED, {
    span: Math.abs(span) > FULL_TURN ? FULL_TURN * Math.sign(span) : span,
    closes: follows !== "spacing" || Math.abs(span) === FULL_TURN,
  });
}

/** A function from a copy's number on one ring to its matrix. */
function placerOf(
  values: RingValues,
  own: LinkedNumbers,
  ring: number,
  count: number,
): (j: number, flipped: boolean) => Matrix {
  const radii = { x: values.radius.x + ring * values.gap, y: values.radius.y + ring * values.gap };
  const spacing = own.follows === "spacing" || ring > 0 ? ringSpacing(count, own.span) : own.spacing;
  const start = values.start + ring * values.stagger * spacing;
  const stand =
    radii.x === radii.y ? onCircle(radii.x, start, spacing) : onEllipse(values, own.span, radii, start, spacing);
  return (j, flipped) => {
    const { foot, outward } = stand(j);
    return standing(foot, facingOf(values.face, outward) + values.own, 1, flipped);
  };
}

interface Stand {
  readonly foot: Point;
  /** Direction away from the curve, degrees. */
  readonly outward: number;
}

function onCircle(radius: number, start: number, spacing: number): (j: number) => Stand {
  return (j) => {
    const outward = start + j * spacing;
    return { foot: polar(radius, outward), outward };
  };
}

function onEllipse(
  values: RingValues,
  arc: number,
  radii: EllipseRadii,
  start: number,
  spacing: number,
): (j: number) => Stand {
  const at = (eccentric: number): Stand => ({
    foot: pointOnEllipse(radii, eccentric),
    outward: outwardAt(radii, eccentric),
  });
  if (values.spacing === "angle") return (j) => at(eccentricOf(radii, start + j * spacing));
  const along = evenAlongEllipse(radii, eccentricOf(radii, start), eccentricOf(radii, start + arc));
  return (j) => at(along(arc === 0 ? 0 : (j * spacing) / arc));
}
