import { decimals } from "../../geometry/decimals";
import { THREAD_THICKNESS } from "../../stitch/thickness";
import { ENDED, NEXT_THREAD, SEWN } from "../../stitch/sewnThread";
import type { StitchPlan } from "../../stitch/stitchPlan";
import type { StitchFormat, StitchSubject } from "../format";
import { beyondHoop } from "./beyondHoop";
import { escapeText } from "../xml";

const PLACES = 3;

/** The thread of every run as one line, as thick as thread, at real size in the hoop. */
export function makeStitchSvg({ design, plan }: StitchSubject): string {
  const { width, height } = plan.settings.frame;
  const [w, h] = [decimals(width, PLACES), decimals(height, PLACES)];
  const box = `${decimals(-width / 2, PLACES)} ${decimals(-height / 2, PLACES)} ${w} ${h}`;
  return `${[
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${box}">`,
    `<title>${escapeText(design.name)}</title>`,
    `<g fill="none" stroke-width="${THREAD_THICKNESS}" stroke-linecap="round" stroke-linejoin="round">`,
    ...runsOf(plan).map(({ color, points }) => `<path stroke="${color}" d="M${points.join("L")}"/>`),
    `</g>`,
    `</svg>`,
  ].join("\n")}\n`;
}

/** Runs sewn without a break, with the colour of their thread. */
function runsOf({ x, y, how, threads }: StitchPlan): { readonly color: string; readonly points: string[] }[] {
  const runs: { color: string; points: string[] }[] = [];
  let thread = 0;
  how.forEach((code, k) => {
    if (code === ENDED) return;
    if (code === NEXT_THREAD) thread += 1;
    const place = `${decimals(x[k] ?? 0, PLACES)} ${decimals(y[k] ?? 0, PLACES)}`;
    if (code === SEWN) runs.at(-1)?.points.push(place);
    else runs.push({ color: threads[thread]?.color ?? "#000000", points: [place] });
  });
  return runs;
}

/** The thread as lines. */
export const stitchSvg: StitchFormat = {
  extension: "stitch.svg",
  mediaType: "image/svg+xml",
  kind: "stitch",
  options: [],
  notes: beyondHoop,
  make: makeStitchSvg,
};
