import { choice } from "../fields/choice";
import { number } from "../fields/number";
import { toRadians } from "../geometry/angle";
import type { Cubic } from "../geometry/cubic";
import { subpathOf } from "../geometry/path";
import { ORIGIN, polar, type Point } from "../geometry/point";
import { defineMotif } from "./definition";
import { angleHandle, lengthHandle } from "./handles";

/** No piece spans more than this: the spiral is then off by less than 2e-5 of its radius. */
const LARGEST_PIECE = 15;

/** A new one's radius where it begins, and from turn to turn, millimetres. */
const INNER = 4;
const PITCH = 8;

interface CurveValues {
  readonly form: "even" | "growing" | "sunflower";
  readonly inner: number;
  readonly pitch: number;
  readonly growth: number;
  readonly turns: number;
  readonly start: number;
  readonly hand: "clockwise" | "anticlockwise";
}

/**
 * A spiral about the origin, by θ in turns: even r = inner + pitch·θ (Archimedes), growing
 * r = inner·growth^θ (logarithmic), sunflower r = √(inner² + pitch²·θ) (Fermat).
 */
export const curve = defineMotif<CurveValues>({
  kind: "curve",
  open: true,
  fields: {
    form: choice(["even", "growing", "sunflower"], "even"),
    inner: number("length", INNER, { min: 0 }),
    /** Millimetres from turn to turn; a sunflower's grow closer. */
    pitch: number("length", PITCH),
    /** Factor of the radius each turn. */
    growth: number("factor", 2, { min: 0.01 }),
    turns: number("factor", 4, { min: 0.01, max: 500, step: 0.25 }),
    start: number("angle", 0),
    hand: choice(["clockwise", "anticlockwise"], "clockwise"),
  },
  outline(values) {
    const pieces = Math.ceil((values.turns * 360) / LARGEST_PIECE - 1e-9);
    const step = values.turns / pieces;
    const ends = Array.from({ length: pieces + 1 }, (_, k) => placeAt(values, k * step, step));
    const segments = ends.slice(1).map((end, k): Cubic => {
      const begin = ends[k] ?? end;
      return [begin.point, begin.leave, end.arrive, end.point];
    });
    return [subpathOf(segments, false)];
  },
  handles(values) {
    const { form, inner, start, turns } = values;
    const end = placeAt(values, turns, 1).point;
    return [
      lengthHandle("inner", ORIGIN, start, inner),
      angleHandle("start", inner * 1.6, start),
      {
        field: form === "growing" ? "growth" : "pitch",
        at: end,
        direction: directionAt(values, turns),
        pull: (to) => stepFor(values, Math.hypot(to.x, to.y)),
      },
    ];
  },
  conflicts(values) {
    const { form, inner, pitch, turns } = values;
    if (form === "growing" && inner === 0) {
      return [{ path: "inner", message: "must be more than 0, or the spiral never leaves its centre", mend: INNER }];
    }
    const last = form === "sunflower" ? inner * inner + pitch * Math.abs(pitch) * turns : radiusAt(values, turns);
    return last > 0
      ? []
      : [{ path: "pitch", message: "takes the spiral past its centre; make it more", mend: Math.abs(pitch) || PITCH }];
  },
});

function radiusAt({ form, inner, pitch, growth }: CurveValues, turns: number): number {
  switch (form) {
    case "even":
      return inner + pitch * turns;
    case "growing":
      return inner * growth ** turns;
    case "sunflower":
      return Math.sqrt(Math.max(0, inner * inner + pitch * Math.abs(pitch) * turns));
  }
}

/** Millimetres of radius a turn, there. */
function slopeAt(values: CurveValues, turns: number): number {
  const { form, pitch, growth } = values;
  switch (form) {
    case "even":
      return pitch;
    case "growing":
      return radiusAt(values, turns) * Math.log(growth);
    case "sunflower":
      return (pitch * Math.abs(pitch)) / (2 * Math.max(radiusAt(values, turns), 1e-9));
  }
}

/** The pitch or growth that brings the end to a radius. */
function stepFor({ form, inner, turns }: CurveValues, radius: number): number {
  switch (form) {
    case "even":
      return (radius - inner) / turns;
    case "growing":
      return (radius / inner) ** (1 / turns);
    case "sunflower": {
      const square = (radius * radius - inner * inner) / turns;
      return Math.sign(square) * Math.sqrt(Math.abs(square));
    }
  }
}

function directionAt({ start, hand }: CurveValues, turns: number): number {
  return start + (hand === "clockwise" ? 360 : -360) * turns;
}

/** A point of the spiral with its handles for pieces of so many turns. */
function placeAt(values: CurveValues, turns: number, step: number): { point: Point; leave: Point; arrive: Point } {
  const direction = directionAt(values, turns);
  const radius = radiusAt(values, turns);
  const sense = values.hand === "clockwise" ? 1 : -1;
  const outward = polar((slopeAt(values, turns) * step) / 3, direction);
  const onward = polar((radius * toRadians(360 * step) * sense) / 3, direction + 90);
  const point = polar(radius, direction);
  return {
    point,
    leave: { x: point.x + outward.x + onward.x, y: point.y + outward.y + onward.y },
    arrive: { x: point.x - outward.x - onward.x, y: point.y - outward.y - onward.y },
  };
}
