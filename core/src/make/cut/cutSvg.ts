import { decimals } from "../../geometry/decimals";
import { pathData } from "../../geometry/pathData";
import { CUT_WAYS } from "../../design/cutFields";
import type { CutFormat, CutSubject } from "../format";
import { beyondFrame } from "./beyondFrame";
import { escapeText } from "../xml";
import { HAIRLINE, WAY_COLORS } from "./colors";

const PLACES = 5;

/** The frame at real size with every line the head follows, a group and a colour for each way. */
export function makeCutSvg({ design, plan }: CutSubject): string {
  const { width, height } = plan.settings.frame;
  const [w, h] = [decimals(width, PLACES), decimals(height, PLACES)];
  const box = `${decimals(-width / 2, PLACES)} ${decimals(-height / 2, PLACES)} ${w} ${h}`;
  const groups = CUT_WAYS.flatMap((way) => {
    const runs = plan.strokes.filter(({ as }) => as === way).flatMap((stroke) => stroke.runs);
    if (runs.length === 0) return [];
    return [
      `<g id="${way}" fill="none" stroke="${WAY_COLORS[way]}" stroke-width="${HAIRLINE}">`,
      ...runs.map((run) => `<path d="${pathData([run])}"/>`),
      `</g>`,
    ];
  });
  return `${[
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${box}">`,
    `<title>${escapeText(design.name)}</title>`,
    ...groups,
    `</svg>`,
  ].join("\n")}\n`;
}

/** The lines of the cut as vectors. */
export const cutSvg: CutFormat = {
  extension: "cut.svg",
  mediaType: "image/svg+xml",
  kind: "cut",
  options: [],
  notes: beyondFrame,
  make: makeCutSvg,
};
