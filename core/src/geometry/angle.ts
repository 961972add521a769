/** Degrees in a full turn. */
export const FULL_TURN = 360;

const RADIANS_PER_DEGREE = Math.PI / 180;

/** The angle brought into [0, 360). Degrees. */
export function normaliseDegrees(degrees: number): number {
  const rest = degrees % FULL_TURN;
  const within = rest < 0 ? rest + FULL_TURN : rest;
  // A hair below 0 rounds up to the full turn.
  return within < FULL_TURN ? within : 0;
}

/** Degrees as radians. */
export function toRadians(degrees: number): number {
  return degrees * RADIANS_PER_DEGREE;
}

/** Radians as degrees. */
export function toDegrees(radians: number): number {
  return radians / RADIANS_PER_DEGREE;
}

/** Cosine of an angle in degrees, exact at quarter turns so that symmetric ornaments meet exactly. */
export function cosDegrees(degrees: number): number {
  switch (degrees % FULL_TURN) {
    case 0:
      return 1;
    case 90:
    case -90:
    case 270:
    case -270:
      return 0;
    case 180:
    case -180:
      return -1;
    default:
      return Math.cos(toRadians(degrees));
  }
}

/** Sine of an angle in degrees, exact at quarter turns. */
export function sinDegrees(degrees: number): number {
  switch (degrees % FULL_TURN) {
    case 0:
    case 180:
    case -180:
      return 0;
    case 90:
    case -270:
      return 1;
    case -90:
    case 270:
      return -1;
    default:
      return Math.sin(toRadians(degrees));
  }
}
