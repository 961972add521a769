import type { Box } from "../../geometry/box";
import { decimals } from "../../geometry/decimals";
import { clipLines, copyLines, motifLines, partGroup } from "./part";
import { paintServerLines } from "./paintServers";
import type { PartScene } from "../../scene/scene";

/** One part by itself as an SVG that shows a box of the sheet, without what lies under and over its paint. */
export function svgOfPart(part: PartScene, { left, top, right, bottom }: Box): string {
  const [across, down] = [decimals(right - left, 6), decimals(bottom - top, 6)];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${across}" height="${down}" viewBox="${decimals(left, 6)} ${decimals(top, 6)} ${across} ${down}">`,
    `<defs>`,
    ...motifLines(part),
    ...paintServerLines(part),
    ...clipLines(part),
    `</defs>`,
    partGroup({ ...part, blend: "normal" }),
    ...copyLines(part),
    `</g></svg>`,
  ].join("\n");
}
