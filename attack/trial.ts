import {
  formatOf,
  importSvg,
  loadGeometryEngine,
  makeFile,
  openDesign,
  problemLine,
  thumbnailOf,
  writeDesign,
  type Design,
  type MakeOptions,
  type Problem,
} from "@twin-petal/core";
import { NODE_HOST } from "@twin-petal/host";

/** What is tried: a design's text, made into files and a small picture where that is asked for; or an SVG that is taken over. */
export type Trial =
  | {
      readonly design: string;
      readonly as: readonly string[];
      readonly picture: boolean;
      readonly options: Partial<MakeOptions>;
    }
  | { readonly svg: string };

/** What came of it: whether a file was made, what was refused, and what should not be, in words. */
export interface Outcome {
  readonly made: boolean;
  readonly refusals: readonly string[];
  readonly faults: readonly string[];
}

/** An outcome with the seconds its picture or its scene took, whichever took longer, those of its file, and the megabytes of its process. */
export interface Measured extends Outcome {
  readonly seconds: number;
  readonly fileSeconds: number;
  readonly megabytes: number;
}

/** The longer side of the small picture, pixels. */
const PIXELS = 320;

/** Tries it, in a process of its own. */
export default async function tryIt(trial: Trial): Promise<Measured> {
  if ("svg" in trial) return measured([await timed(() => tryImport(trial.svg))], null);
  const scene = await timed(() => tryDesign({ ...trial, as: DATA, picture: false }));
  const { made } = scene.outcome;
  const picture = made && trial.picture ? await timed(() => tryDesign({ ...trial, as: [] })) : null;
  const file = made && trial.as.length > 0 ? await timed(() => tryDesign({ ...trial, picture: false })) : null;
  return measured(picture ? [scene, picture] : [scene], file);
}

interface Timed {
  readonly outcome: Outcome;
  readonly seconds: number;
}

async function timed(work: () => Promise<Outcome>): Promise<Timed> {
  const began = performance.now();
  const outcome = await work();
  return { outcome, seconds: (performance.now() - began) / 1_000 };
}

function measured(computed: readonly Timed[], file: Timed | null): Measured {
  const all = [...computed, ...(file ? [file] : [])].map(({ outcome }) => outcome);
  return {
    made: all.every(({ made }) => made),
    refusals: all.flatMap(({ refusals }) => refusals),
    faults: all.flatMap(({ faults }) => faults),
    seconds: Math.max(...computed.map(({ seconds }) => seconds)),
    fileSeconds: file?.seconds ?? 0,
    megabytes: process.resourceUsage().maxRSS / 1_024,
  };
}

/** What is made of every design first: the scene as data. */
const DATA = ["scene.json"];

async function tryDesign(trial: Extract<Trial, { readonly design: string }>): Promise<Outcome> {
  const { design, problems } = openDesign(trial.design);
  if (!design) return { made: false, refusals: problems.map(problemLine), faults: faultsOf(problems) };
  const again = openDesign(writeDesign(design));
  const unlike = again.problems.map((problem) => `accepted, but refused once it is written: ${problemLine(problem)}`);
  const made = [
    ...(trial.picture ? [await pictureOf(design)] : []),
    ...(await inTurn(trial.as, (extension) => fileOf(design, extension, trial.options))),
  ];
  return {
    made: made.some((one) => one.made),
    refusals: made.flatMap(({ refusals }) => refusals),
    faults: [...unlike, ...made.flatMap(({ faults }) => faults)],
  };
}

async function inTurn<T, R>(list: readonly T[], act: (one: T) => Promise<R>): Promise<R[]> {
  const done: R[] = [];
  for (const one of list) done.push(await act(one));
  return done;
}

async function pictureOf(design: Design): Promise<Outcome> {
  const picture = await thumbnailOf(design, PIXELS, NODE_HOST);
  if ("file" in picture) return { made: true, refusals: [], faults: [] };
  return { made: false, refusals: picture.problems.map(problemLine), faults: faultsOf(picture.problems) };
}

async function fileOf(design: Design, extension: string, options: Partial<MakeOptions>): Promise<Outcome> {
  const format = formatOf(`x.${extension}`);
  if (!format) throw new Error(`there is no format ${extension}`);
  const made = await makeFile(design, format, options, NODE_HOST);
  if ("problems" in made) {
    return { made: false, refusals: made.problems.map(problemLine), faults: faultsOf(made.problems) };
  }
  if ("refusal" in made)
    return { made: false, refusals: [made.refusal], faults: made.refusal === "" ? [WORDLESS] : [] };
  const isOdd = typeof made.file === "string" && NO_NUMBERS.test(made.file);
  return { made: true, refusals: [], faults: isOdd ? [`numbers that are none in ${extension}`] : [] };
}

/** What no file has in it where numbers stand. */
const NO_NUMBERS = /[\s,:("]NaN[\s,)"]|="-?Infinity"/;

async function tryImport(svg: string): Promise<Outcome> {
  await loadGeometryEngine(NODE_HOST.geometryEngine);
  const began = performance.now();
  const read = importSvg(svg);
  const late = performance.now() - began > LONGEST_IMPORT ? ["took over two seconds to be taken over"] : [];
  if ("refusal" in read) {
    return { made: false, refusals: [read.refusal], faults: read.refusal === "" ? [WORDLESS] : late };
  }
  const content = { format: "twin-petal/1", parts: [{ id: "a", motif: { kind: "svg", source: read.source } }] };
  const outcome = await tryDesign({ design: JSON.stringify(content), as: ["svg"], picture: true, options: {} });
  const refused = outcome.made ? [] : [`taken over, but refused as a design: ${outcome.refusals.join("; ")}`];
  return { ...outcome, faults: [...outcome.faults, ...refused, ...late] };
}

/** Milliseconds. */
const LONGEST_IMPORT = 2_000;

const WORDLESS = "refused without words";

/** Nobody can mend what is refused without a word. */
function faultsOf(problems: readonly Problem[]): string[] {
  return problems.length === 0 || problems.some(({ message }) => message.trim() === "") ? [WORDLESS] : [];
}
