/** Sides and radii of guides, millimetres. */
export const GUIDE_RADIUS = { min: 0.1, max: 100_000 };
/** Points or sides a figure may have. */
export const GUIDE_POINTS = { min: 2, max: 1_000 };
