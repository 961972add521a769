/** The ways a copy on a curve may look, in words. */
export const FACE_WORDS = { out: "out", in: "in", along: "along the curve", fixed: "one way" };
