import type { Limits } from "../../fields/limits";

/** A place in shares of a box, which it may stand outside of. */
export const BOX_PLACE: Limits & { readonly step: number } = { min: -10, max: 10, whole: false, step: 0.05 };
