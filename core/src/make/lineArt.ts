import { LINE_DEFAULT } from "../design/defaults";
import type { Design, Part } from "../design/design";

/** The ink of line art. */
const INK = "#000000";

/** The design as line art: nothing filled, every outline one weight (millimetres), nothing under or over it. */
export function lineArtOf(design: Design, width: number): Design {
  return {
    ...design,
    sheet: { ...design.sheet, ground: "#FFFFFF" },
    parts: design.parts.map((part) => ({ ...part, finish: lined(part, width), join: unpainted(part) })),
  };
}

function lined({ finish }: Part, width: number): Part["finish"] {
  const kept = finish.line ?? LINE_DEFAULT;
  // A dotted or dashed line stays so, at its own size.
  const line = { ...LINE_DEFAULT, cap: kept.cap, join: kept.join, width, paint: INK };
  return {
    fill: null,
    line,
    opacity: 1,
    blend: "normal",
    grain: null,
    texture: null,
    shadow: null,
    innerShadow: null,
    glow: null,
  };
}

/** Faces have no colours: their outlines are what is left. */
function unpainted({ join }: Part): Part["join"] {
  return join.mode === "faces" ? { ...join, colors: [null], own: [] } : join;
}
