/** At the standard size curves are flattened to within this of themselves while areas are combined, millimetres. */
export const FLATTENED_WITHIN = 0.005;
/** At the standard size neighbours that one curve stands for within this are joined, millimetres. */
export const AS_ONE = 0.0004;
