import type { Design } from "../design/design";
import type { Part } from "../design/partFields";
import { FINISH_DEFAULT } from "../finish/finishFields";
import { LINE_DEFAULT } from "../finish/line/lineFields";

/** The ink of line art. */
const INK = "#000000";

/** The design as line art: nothing filled, every outline one weight (millimetres), nothing under or over it. */
export function lineArtOf(design: Design, width: number): Design {
  return {
    ...design,
    sheet: { ...design.sheet, ground: "#FFFFFF", grain: null },
    parts: design.parts.map((part) => ({ ...part, finish: lined(part, width), join: unpainted(part) })),
  };
}

function lined({ finish }: Part, width: number): Part["finish"] {
  const { cap, join } = finish.line ?? LINE_DEFAULT;
  return { ...FINISH_DEFAULT, fill: null, line: { ...LINE_DEFAULT, cap, join, width, paint: INK } };
}

/** Faces have no colours: their outlines are what is left. */
function unpainted({ join }: Part): Part["join"] {
  return join.mode === "faces" ? { ...join, colors: [null], own: [] } : join;
}
