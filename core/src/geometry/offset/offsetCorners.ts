/** How an offset outline goes around outer corners: along an arc, to a point, or cut off. */
export const OFFSET_CORNERS = ["round", "miter", "bevel"] as const;
/** How an outline beside another goes around corners. */
export type OffsetCorners = (typeof OFFSET_CORNERS)[number];
