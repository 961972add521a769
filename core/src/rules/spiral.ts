import { choice } from "../fields/choice";
import { number } from "../fields/number";
import { structure } from "../fields/structure";
import { isSpiralSize, resolveSpiralSize, SPIRAL_SIZE, type SpiralSize, type SpiralSizeValue } from "./spiralSize";
import { toDegrees } from "../geometry/angle";
import { evenlyAlong } from "../geometry/evenly";
import { directionOf, distance, ORIGIN, polar, type Point } from "../geometry/point";
import { lengthHandle, type NumberHandle } from "../motif/handles";
import { defineRule } from "./definition";
import { FACES, facingOf, standing, type Face } from "./facing";
import { packMatrices } from "./pack";

const TAU = 2 * Math.PI;
/** Radians from seed to seed of a sunflower: 180·(3 − √5) degrees. */
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

/** A new one's radius where it begins, and from turn to turn, millimetres. */
const INNER = 5;
const PITCH = 8;

interface SpiralValues {
  readonly form: "even" | "growing" | "sunflower";
  readonly count: number;
  readonly inner: number;
  readonly pitch: number;
  readonly growth: number;
  readonly spread: number;
  readonly turns: number;
  readonly by: "angle" | "length";
  readonly face: Face;
  readonly own: number;
  readonly size: SpiralSize;
}

/**
 * Copies on a spiral about the origin, by θ in radians: even r = inner + pitch·θ/τ, growing
 * r = inner·growth^(θ/τ), sunflower rᵢ = spread·√i at i golden angles.
 */
export const spiral = defineRule<SpiralValues>({
  kind: "spiral",
  fields: {
    form: choice(["even", "growing", "sunflower"], "even"),
    count: number("count", 60),
    inner: number("length", INNER, { min: 0 }),
    /** Millimetres from turn to turn. */
    pitch: number("length", PITCH),
    /** Factor of the radius each turn. */
    growth: number("factor", 2, { min: 0.01 }),
    /** The sunflower's distance from its first seed to its second. */
    spread: number("length", 4, { min: 0.001 }),
    turns: number("factor", 4, { min: 0.01, max: 1_000, step: 0.25 }),
    by: choice(["angle", "length"], "length"),
    face: choice(FACES, "out"),
    own: number("angle", 0),
    size: structure<SpiralSizeValue, SpiralSize>({
      default: null,
      is: isSpiralSize,
      of: SPIRAL_SIZE,
      resolve: resolveSpiralSize,
    }),
  },
  copies: ({ count }) => count,
  transforms(values) {
    const thetaOf = thetasOf(values);
    const last = radiusAt(values, thetaOf(values.count - 1), values.count - 1);
    return {
      matrices: packMatrices(values.count, (j) => {
        const theta = thetaOf(j);
        const radius = radiusAt(values, theta, j);
        const direction = toDegrees(theta);
        const size = sizeAt(values, j, last > 0 ? radius / last : 1);
        return standing(polar(radius, direction), facingOf(values.face, direction) + values.own, size);
      }),
    };
  },
  handles(values) {
    const { form, inner, spread, turns } = values;
    if (form === "sunflower") return [lengthHandle("spread", ORIGIN, 0, spread)];
    const end = polar(radiusAt(values, TAU * turns, 0), 360 * turns);
    return [
      lengthHandle("inner", ORIGIN, 0, inner),
      {
        field: form === "growing" ? "growth" : "pitch",
        at: end,
        direction: 360 * turns,
        pull(to) {
          const radius = Math.hypot(to.x, to.y);
          return form === "growing" ? (radius / inner) ** (1 / turns) : (radius - inner) / turns;
        },
      },
      turnsHandle(polar(distance(end, ORIGIN) * TURNS_AT, 360 * turns), turns),
    ];
  },
  conflicts(values) {
    const { form, inner, pitch, turns } = values;
    if (form === "growing" && inner === 0) {
      return [{ path: "inner", message: "must be more than 0, or the spiral never leaves its centre", mend: INNER }];
    }
    if (form === "even" && inner + pitch * turns < 0) {
      return [
        { path: "pitch", message: "takes the spiral past its centre; make it more", mend: Math.abs(pitch) || PITCH },
      ];
    }
    return [];
  },
});

/** The handle of the turns stands a little outside the end, clear of the pitch's own. */
const TURNS_AT = 1.15;

function turnsHandle(at: Point, turns: number): NumberHandle {
  return {
    field: "turns",
    at,
    direction: 360 * turns + 90,
    pull(to) {
      const seen = directionOf(ORIGIN, to) / 360;
      return Math.max(0.01, seen + Math.round(turns - seen));
    },
  };
}

function radiusAt({ form, inner, pitch, growth, spread }: SpiralValues, theta: number, j: number): number {
  switch (form) {
    case "even":
      return inner + (pitch * theta) / TAU;
    case "growing":
      return inner * growth ** (theta / TAU);
    case "sunflower":
      return spread * Math.sqrt(j);
  }
}

/** A function from a copy's number to its direction, radians. */
function thetasOf(values: SpiralValues): (j: number) => number {
  const { form, count, turns, by } = values;
  if (form === "sunflower") return (j) => j * GOLDEN;
  const end = TAU * turns;
  const share = (j: number) => (count > 1 ? j / (count - 1) : 0);
  if (by === "angle") return (j) => share(j) * end;
  const along = evenlyAlong((theta) => speedAt(values, theta), 0, end);
  return (j) => along(share(j));
}

/** Length a radian: √(r² + r′²). */
function speedAt(values: SpiralValues, theta: number): number {
  const radius = radiusAt(values, theta, 0);
  const slope = values.form === "even" ? values.pitch / TAU : (radius * Math.log(values.growth)) / TAU;
  return Math.hypot(radius, slope);
}

function sizeAt({ size, count }: SpiralValues, j: number, share: number): number {
  if (size === null) return 1;
  if (size === "radius") return Math.max(share, 1e-6);
  return size.from + (size.to - size.from) * (count > 1 ? j / (count - 1) : 0);
}
