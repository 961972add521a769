/** How copies combine: painted one over the other, united, overlaps alternating, split into closed regions, or interlaced. */
export const JOIN_MODES = ["apart", "merge", "evenOdd", "faces", "weave"] as const;
export type JoinMode = (typeof JOIN_MODES)[number];

/** What gives a face its colour: which faces the rules carry onto it, how many copies cover it, or its neighbours. */
export const FACE_PAINTS = ["orbit", "depth", "alternate"] as const;
export type FacePaint = (typeof FACE_PAINTS)[number];
