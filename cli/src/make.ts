import { fork } from "node:child_process";
import { rmSync } from "node:fs";
import { readFile, rename, rm, writeFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import {
  FORMATS,
  formatOf,
  makeFile,
  openDesign,
  problemLine,
  type Design,
  type Format,
  type MakeOptions,
} from "@twin-petal/core";
import { NODE_HOST } from "@twin-petal/host";

const USAGE = `npm run -s make -- <in.petal.json> <out.EXT> [--part id] [--dpi 300] [--tolerance 0.01] [--line-art 0.35] [--page 1] [--duration 6] [--pixels 720] [--seconds 60]
EXT: ${FORMATS.map(({ extension }) => extension).join(" ")}`;

/** The command was called wrongly, or a file could not be read or written. */
const EXIT_FAILED = 1;
/** The design itself is wrong. */
const EXIT_BAD_DESIGN = 2;
/** It was stopped from outside. */
const EXIT_STOPPED = 130;
const STOPPING = ["SIGINT", "SIGTERM"] as const;

/** Ends the command with words on standard error. */
class Failure extends Error {
  constructor(
    message: string,
    readonly code: number,
  ) {
    super(message);
  }
}

interface Call {
  readonly input: string;
  readonly output: string;
  readonly format: Format;
  readonly part: string | undefined;
  readonly options: Partial<MakeOptions>;
  /** How long it may take; undefined for as long as it takes. */
  readonly seconds: number | undefined;
}

/** The word for each option of the makers. */
const OPTION_WORDS = {
  dpi: "dpi",
  tolerance: "tolerance",
  lineArt: "line-art",
  page: "page",
  duration: "duration",
  pixels: "pixels",
} as const satisfies Record<keyof MakeOptions, string>;

function readCall(argv: readonly string[]): Call {
  const { values, positionals } = parseWords(argv);
  const [input, output, ...rest] = positionals;
  if (input === undefined || output === undefined || rest.length > 0) throw new Failure(USAGE, EXIT_FAILED);
  const format = formatOf(output);
  if (!format) throw new Failure(`${output}: there is no such format\n${USAGE}`, EXIT_FAILED);
  const options = Object.fromEntries(
    Object.entries(OPTION_WORDS).flatMap(([option, word]) => {
      const text = values[word];
      return text === undefined ? [] : [[option, positive(word, text)]];
    }),
  );
  const seconds = values.seconds === undefined ? undefined : positive("seconds", values.seconds);
  return { input, output, format, part: values.part, options, seconds };
}

function parseWords(argv: readonly string[]) {
  try {
    const text = { type: "string" } as const;
    return parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        part: text,
        dpi: text,
        tolerance: text,
        "line-art": text,
        page: text,
        duration: text,
        pixels: text,
        seconds: text,
      },
    });
  } catch (error) {
    throw new Failure(`${messageOf(error)}\n${USAGE}`, EXIT_FAILED);
  }
}

function positive(name: string, text: string): number {
  const value = Number(text);
  if (Number.isFinite(value) && value > 0) return value;
  throw new Failure(`--${name} ${text}: must be a number greater than 0`, EXIT_FAILED);
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

async function readInput(path: string): Promise<Design> {
  const text = await readFile(path, "utf8").catch((error: unknown) => {
    throw new Failure(`${path} cannot be read: ${messageOf(error)}`, EXIT_FAILED);
  });
  const { design, problems } = openDesign(text);
  if (design) return design;
  throw new Failure(problems.map(problemLine).join("\n"), EXIT_BAD_DESIGN);
}

function onlyPart(design: Design, id: string | undefined): Design {
  if (id === undefined) return design;
  // The others stay, unseen: the part may follow them.
  const parts = design.parts.map((part) => (part.id === id ? part : { ...part, visible: false }));
  if (parts.some((part) => part.id === id)) return { ...design, parts };
  const known = design.parts.map((part) => part.id).join(", ") || "none";
  throw new Failure(`--part ${id}: the design has no such part; it has ${known}`, EXIT_BAD_DESIGN);
}

/** Where a file is written before it is whole. */
const besideOf = (path: string, pid: number | undefined) => `${path}.${pid}.part`;

/** Writes beside the place and moves it there, so that nothing half-written is ever seen, nor left behind where it is stopped. */
async function writeWhole(path: string, content: string | Uint8Array): Promise<void> {
  const aside = besideOf(path, process.pid);
  const stopped = () => {
    rmSync(aside, { force: true });
    process.exit(EXIT_STOPPED);
  };
  for (const signal of STOPPING) process.once(signal, stopped);
  try {
    await writeFile(aside, content);
    await rename(aside, path);
  } catch (error) {
    await rm(aside, { force: true });
    throw new Failure(`${path} cannot be written: ${messageOf(error)}`, EXIT_FAILED);
  }
}

/** Milliseconds after which it is told what is being done. */
const SILENT = 2_000;

/** Tells on standard error what is being done, where it takes its time. */
function teller(output: string): (what: string) => void {
  const began = Date.now();
  return (what) => {
    const milliseconds = Date.now() - began;
    if (milliseconds > SILENT) process.stderr.write(`${output}: ${Math.round(milliseconds / 1_000)} s, ${what}\n`);
  };
}

/** Makes it in a process of its own that is ended when its time is over; nothing half-written stays. */
async function makeWithin(seconds: number, output: string): Promise<void> {
  const words = process.argv.slice(2);
  const at = words.findIndex((word) => word === "--seconds" || word.startsWith("--seconds="));
  const rest = words.filter((_, index) => index !== at && !(words[at] === "--seconds" && index === at + 1));
  const child = fork(process.argv[1] ?? "", rest, { stdio: "inherit" });
  let isLate = false;
  const timer = setTimeout(() => {
    isLate = true;
    child.kill("SIGKILL");
  }, seconds * 1_000);
  const code = await new Promise<number | null>((resolve) => child.once("exit", resolve));
  clearTimeout(timer);
  await rm(besideOf(output, child.pid), { force: true });
  if (isLate) throw new Failure(`${output}: stopped after ${seconds} s; nothing was written`, EXIT_FAILED);
  process.exitCode = code ?? EXIT_FAILED;
}

async function main(): Promise<void> {
  const { input, output, format, part, options, seconds } = readCall(process.argv.slice(2));
  if (seconds !== undefined) return makeWithin(seconds, output);
  const tell = teller(output);
  const design = onlyPart(await readInput(input), part);
  const host = { ...NODE_HOST, onWork: (name: string) => tell(`computing ${name}`) };
  const made = await makeFile(design, format, options, host);
  if ("problems" in made) throw new Failure(made.problems.map(problemLine).join("\n"), EXIT_BAD_DESIGN);
  if ("refusal" in made) throw new Failure(made.refusal, EXIT_FAILED);
  tell("writing");
  await writeWhole(output, made.file);
  for (const note of made.notes) process.stderr.write(`${output}: ${note}\n`);
}

main().catch((error: unknown) => {
  process.stderr.write(`${messageOf(error)}\n`);
  process.exitCode = error instanceof Failure ? error.code : EXIT_FAILED;
});
