import { strFromU8 } from "fflate";
import { STITCH_MAKING } from "../../design/makingFields";
import type { ResolvedOf } from "../../fields/field";
import { beyondHoop } from "../../stitch/beyondHoop";
import { MOVED, NEXT_THREAD, SEWN, TRIMMED } from "../../stitch/sewnThread";
import type { Device, DeviceRun, Refusal } from "../device";
import { settingsBy } from "../settings";
import { readStitches, type ReadStitch, type ReadStitches } from "./readStitches";

type Settings = ResolvedOf<typeof STITCH_MAKING.fields>;

const { readSettings, isSettings } = settingsBy(STITCH_MAKING);

/** What is this little over the edge or too long is rounding, millimetres. */
const ROUNDING = 0.01;
/** Letters of a file it reads at most. */
const MOST_LETTERS = 50_000_000;

/** The simulated stitcher: reads stitches, and moves its hoop from one to the next. */
export const stitcher: Device = {
  kind: "stitcher",
  name: "stitcher",
  reads: ["stitch.json", "stitch.csv", "json", "csv"],
  stepName: "stitch",
  readSettings,
  open(file, settings) {
    if (!isSettings(settings)) throw new Error("these are not the settings of the stitcher");
    return Promise.resolve(opened(file, settings));
  },
};

function opened(file: Uint8Array, settings: Settings): DeviceRun | Refusal {
  if (file.length > MOST_LETTERS)
    return { refusal: "The file is longer than 50 MB, which is more than this stitcher reads." };
  const read = readStitches(strFromU8(file));
  if ("refusal" in read) return read;
  return refusalOf(read.stitches, settings) ?? runOf(read, settings);
}

function refusalOf(stitches: readonly ReadStitch[], { frame, longest }: Settings): Refusal | null {
  for (const [index, [x, y, how]] of stitches.entries()) {
    const beyond = beyondHoop(frame, x, y);
    if (beyond > ROUNDING) {
      const hoop = `${frame.shape === "oval" ? "oval " : ""}hoop of ${frame.width} × ${frame.height} mm`;
      return {
        refusal: `Stitch ${index + 1} lies ${beyond.toFixed(2)} mm beyond the ${hoop}; make it smaller, or choose a larger hoop.`,
      };
    }
    const before = stitches[index - 1];
    if (how !== SEWN) continue;
    if (!before) return { refusal: "The first stitch is sewn from nowhere; the file must begin by moving there (1)." };
    const length = Math.hypot(x - before[0], y - before[1]);
    if (length > longest + ROUNDING)
      return {
        refusal: `Stitch ${index + 1} is ${length.toFixed(2)} mm long, but this stitcher sews at most ${longest} mm; split it.`,
      };
  }
  return null;
}

function runOf({ stitches }: ReadStitches, { speed }: Settings): DeviceRun {
  const done = { stitches: 0, jumps: 0, trims: 0, changes: 0, thread: 0, seconds: 0 };
  const turn = 60 / speed;
  return {
    steps: stitches.length,
    step(index) {
      const [x, y, how] = stitches[index] ?? [0, 0, 0];
      const [fromX, fromY] = stitches[index - 1] ?? [x, y];
      const length = how === SEWN ? Math.hypot(x - fromX, y - fromY) : 0;
      const seconds = how === SEWN || (how <= NEXT_THREAD && index > 0) ? turn : 0;
      if (how === SEWN) done.stitches += 1;
      if (how === MOVED && index > 0) done.jumps += 1;
      if (how === TRIMMED) done.trims += 1;
      if (how === NEXT_THREAD) done.changes += 1;
      done.thread += length / 1000;
      done.seconds += seconds;
      return { seconds, trace: { stitch: index + 1, x, y, how, length } };
    },
    report: () => ({ ...done }),
  };
}
