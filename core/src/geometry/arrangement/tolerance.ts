/** Curves are flattened to within this of themselves while crossings are found, millimetres. */
export const ARRANGED_WITHIN = 0.005;
