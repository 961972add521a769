/** Copies one part may have; checked before any is computed. */
export const MOST_COPIES = 200_000;
/** Rules one part may have. */
export const MOST_RULES = 64;
/** Parts, named numbers, palette colours and guides one design may have. */
export const MOST_PARTS = 500;
export const MOST_NUMBERS = 500;
export const MOST_COLORS = 500;
export const MOST_GUIDES = 500;
/** Characters a name may have, and notes. */
export const LONGEST_NAME = 120;
export const LONGEST_NOTES = 20_000;
