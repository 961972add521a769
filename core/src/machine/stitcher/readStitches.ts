import { array, number, object, string, tuple, ValidationError } from "yup";
import { STITCH_COLUMNS } from "../../make/stitch/stitchCsv";
import { STITCHES_FORMAT } from "../../make/stitch/stitchJson";
import { ENDED, NEXT_THREAD } from "../../stitch/sewnThread";
import type { Refusal } from "../device";

/** Where the needle goes and how, as a file of stitches says: place in millimetres from the hoop's middle, and the code. */
export type ReadStitch = readonly [x: number, y: number, how: number];

/** What a file of stitches holds. */
export interface ReadStitches {
  /** Every stitch, in order. */
  readonly stitches: readonly ReadStitch[];
  /** Threads in the order in which they are put in. */
  readonly threads: readonly string[];
}

/** Stitches taken at most. */
const MOST = 2_000_000;

const FILE = object({
  format: string().oneOf([STITCHES_FORMAT]).required(),
  threads: array(
    object({
      color: string()
        .matches(/^#[0-9a-f]{6}$/i)
        .required(),
    }),
  ).required(),
  stitches: array(tuple([number().required(), number().required(), number().integer().required()]).required())
    .max(MOST)
    .required(),
});

/** Stitches read from a file, JSON or a table; what is wrong with it in words, with its place. */
export function readStitches(text: string): ReadStitches | Refusal {
  const read = text.trimStart().startsWith("{") ? fromJson(text) : fromTable(text);
  return "refusal" in read ? read : checked(read);
}

function fromJson(text: string): ReadStitches | Refusal {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { refusal: "The file is broken: it is no complete JSON. Make it again." };
  }
  const fault = faultOf(data);
  if (fault !== null) return { refusal: `The file of stitches cannot be read: ${fault}.` };
  const { stitches, threads } = FILE.cast(data);
  return {
    stitches: stitches.map(([x, y, how]): ReadStitch => [x, y, how]),
    threads: threads.map(({ color }) => color),
  };
}

function faultOf(data: unknown): string | null {
  try {
    FILE.validateSync(data, { strict: true });
    return null;
  } catch (error) {
    return error instanceof ValidationError ? `${error.path ?? "the file"}: ${error.message}` : "it is none";
  }
}

function fromTable(text: string): ReadStitches | Refusal {
  const [head, ...lines] = text.split(/\r?\n/);
  if (head?.trim() !== STITCH_COLUMNS)
    return { refusal: `This is no file of stitches: its first line must be “${STITCH_COLUMNS}”.` };
  const stitches: ReadStitch[] = [];
  const threads: string[] = [];
  for (const [index, line] of lines.entries()) {
    if (line.trim() === "") continue;
    const [x, y, how, thread] = line.split(",").map((word) => word.trim());
    const values = [x, y, how].map((word) => (word === undefined || word === "" ? Number.NaN : Number(word)));
    if (!values.every(Number.isFinite) || stitches.length >= MOST)
      return { refusal: `Line ${index + 2} of the table cannot be read: “${line.slice(0, 40)}”.` };
    const [px = 0, py = 0, code = 0] = values;
    stitches.push([px, py, code]);
    if (threads.length === 0 || code === NEXT_THREAD) threads.push(thread ?? "");
  }
  return { stitches, threads };
}

function checked(read: ReadStitches): ReadStitches | Refusal {
  const { stitches, threads } = read;
  const wrong = stitches.findIndex(([, , how]) => !Number.isInteger(how) || how < 0 || how > ENDED);
  if (wrong >= 0)
    return {
      refusal: `Stitch ${wrong + 1} says ${stitches[wrong]?.[2] ?? ""}, which is no way for the needle to go; 0 to 4 are.`,
    };
  if (!stitches.some(([, , how]) => how === 0))
    return { refusal: "There is nothing to sew: the file has no stitches." };
  const ended = stitches.findIndex(([, , how]) => how === ENDED);
  if (ended !== stitches.length - 1)
    return {
      refusal:
        ended < 0
          ? "The file does not end; its last line must say 4."
          : `The file ends at stitch ${ended + 1}, but goes on after it.`,
    };
  const puts = 1 + stitches.filter(([, , how]) => how === NEXT_THREAD).length;
  if (threads.length < puts)
    return { refusal: `The file asks for ${puts} threads, but names ${threads.length}; name the missing ones.` };
  return read;
}
