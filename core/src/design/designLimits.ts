import type { Limits } from "./limits";

// Limits of the numbers that stand in no definition. Lengths in millimetres.
export const SHEET_SIDE: Limits = { min: 0.1, max: 100_000, whole: false };
export const SHEET_MARGIN: Limits = { min: 0, max: 50_000, whole: false };
export const LINE_WIDTH: Limits = { min: 0, max: 1_000, whole: false };
export const DASH: Limits = { min: 0, max: 10_000, whole: false };
export const OPACITY: Limits = { min: 0, max: 1, whole: false };
export const GUIDE_PLACE: Limits = { min: -10_000, max: 10_000, whole: false };
export const GUIDE_ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
export const GUIDE_POINTS: Limits = { min: 2, max: 1_000, whole: true };
export const STOP: Limits = { min: 0, max: 1, whole: false };
export const GRADIENT_ANGLE: Limits = { min: -3_600, max: 3_600, whole: false };
/** In shares of the box, which a centre may stand outside of. */
export const GRADIENT_PLACE: Limits = { min: -10, max: 10, whole: false };
export const GRADIENT_RADIUS: Limits = { min: 0.001, max: 100, whole: false };
/** How far a pool reaches beside the others; 1 unless it says otherwise. */
export const POOL_REACH: Limits = { min: 0.01, max: 100, whole: false };
export const POOL_REACH_DEFAULT = 1;
export const SHADE_PLACE: Limits = { min: -1_000, max: 1_000, whole: false };
export const SHADE_BLUR: Limits = { min: 0, max: 200, whole: false };
export const GRAIN_SIZE: Limits = { min: 0.02, max: 100, whole: false };
export const FACET_SIZE: Limits = { min: 0.2, max: 1_000, whole: false };
export const SEED: Limits = { min: 0, max: 1_000_000, whole: true };
export const WEAVE_GAP: Limits = { min: 0, max: 100, whole: false };
export const OFFSET_BY: Limits = { min: -1_000, max: 1_000, whole: false };
export const OFFSET_TIMES: Limits = { min: 1, max: 50, whole: true };
