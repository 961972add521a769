/** Handle length of a quarter of a unit circle drawn as one cubic: 4/3·(√2 − 1). */
export const QUARTER_HANDLE = (4 / 3) * (Math.SQRT2 - 1);
