import type { PlacedGradient } from "./gradient";
import type { PlacedRaster } from "./pools";

/** Colours laid over a box, as every picture and file can have them: a gradient, or a picture. Millimetres. */
export type PlacedPaint = PlacedGradient | ({ readonly kind: "picture" } & PlacedRaster);
