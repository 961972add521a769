/** What numbers are called whose names in files are no words: in sentences, on handles and in what undo tells. */
const WORDS: Readonly<Record<string, string>> = {
  inner: "inner radius",
  outer: "outer radius",
  rx: "half width",
  ry: "half height",
  own: "own turn",
  apart: "angle apart",
  growth: "more copies each",
  flipEvery: "flip every",
};

/** What a field is called. */
export const fieldWords = (field: string): string => WORDS[field] ?? field;
