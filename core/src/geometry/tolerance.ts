/** Two things nearer than this are taken to be in the same place. Millimetres. */
export const TOLERANCE = 0.01;
