import { toldOfStitches } from "../../stitch/told";
import type { StitchFormat, StitchSubject } from "../format";
import { beyondHoop } from "./beyondHoop";

/** What a file of stitches says it is. */
export const STITCHES_FORMAT = "twin-petal-stitches/1";

/** Places are said to a thousandth of a millimetre. */
const rounded = (value: number) => Math.round(value * 1000) / 1000 + 0;

/** Every stitch as data: the hoop, the threads, where the needle goes and how, and what is told of it. */
export function makeStitchJson({ design, plan }: StitchSubject): string {
  const { box, ...told } = toldOfStitches(plan);
  const { left = 0, top = 0, right = 0, bottom = 0 } = box ?? {};
  const head = {
    format: STITCHES_FORMAT,
    name: design.name,
    frame: plan.settings.frame,
    threads: plan.threads.map(({ color }) => ({ color, name: "" })),
  };
  const figures = {
    ...told,
    thread: told.thread.map(rounded),
    minutes: rounded(told.minutes),
    box: [left, top, right, bottom].map(rounded),
  };
  const stitches = Array.from(plan.how, (how, k) =>
    JSON.stringify([rounded(plan.x[k] ?? 0), rounded(plan.y[k] ?? 0), how]),
  );
  // A stitch a line, so that a person can read it and two files can be compared.
  return `${JSON.stringify(head).slice(0, -1)},\n"stitches":[\n${stitches.join(",\n")}\n],\n"told":${JSON.stringify(figures)}}\n`;
}

/** The stitches as data. */
export const stitchJson: StitchFormat = {
  extension: "stitch.json",
  mediaType: "application/json",
  kind: "stitch",
  options: [],
  notes: beyondHoop,
  make: makeStitchJson,
};
