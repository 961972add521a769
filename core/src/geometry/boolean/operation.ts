/** How areas are combined. */
export const OPERATIONS = ["union", "difference", "intersection", "exclusive"] as const;
/** How two areas are combined. */
export type Operation = (typeof OPERATIONS)[number];

/** Which points of overlapping runs count as inside. */
export type FillRule = "nonzero" | "evenodd";

/** The same, or what is gone round more often clockwise on the sheet than the other way. */
export type ClipRule = FillRule | "positive";
