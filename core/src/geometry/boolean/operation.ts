/** How areas are combined. */
export const OPERATIONS = ["union", "difference", "intersection", "exclusive"] as const;
export type Operation = (typeof OPERATIONS)[number];

/** Which points of overlapping runs count as inside. */
export type FillRule = "nonzero" | "evenodd";
