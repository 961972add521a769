import { defineUnderlay } from "./definition";

/** Nothing. */
export const none = defineUnderlay({ kind: "none", underArea: () => [], underBand: () => [] });
