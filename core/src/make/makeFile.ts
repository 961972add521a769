import type { Design } from "../design/design";
import type { Problem } from "../formula/problem";
import { planCut } from "../cut/plan";
import { planStitches } from "../stitch/plan";
import { EngineEnded } from "../engines/engineEnded";
import { isTooLarge } from "../engines/tooLarge";
import { loadGeometryEngine } from "../engines/geometryEngine";
import { loadRasteriser, type RasteriserSource } from "../engines/rasteriser";
import { loadSolidEngine } from "../engines/solidEngine";
import { prepareFor, type Host } from "../scene/needs";
import { layOutPages } from "../print/layout";
import { flattenedScene } from "./flattenedScene";
import { makeBodies } from "../solid/bodies";
import { designForSolids, hasSolids, SolidLayouter } from "../solid/layout";
import {
  OPTION_NAMES,
  optionTrouble,
  USUAL_OPTIONS,
  type Content,
  type CutFormat,
  type FlatFormat,
  type Format,
  type FormatTraits,
  type MakeOptions,
  type PrintFormat,
  type PrintSubject,
  type SolidFormat,
  type StitchFormat,
} from "./format";
import { lineArtOf } from "./lineArt";
import { plannedInTime, tooLong } from "./makingSeconds";
import { subjectOf, type Subject } from "./subject";

/** Where a host finds what making files needs beside what drawing does. */
export interface MakeHost extends Host {
  /** Where its WebAssembly is. */
  readonly rasteriser: RasteriserSource;
  /** Told the name of each part before its shapes are computed. */
  readonly onWork?: (part: string) => void;
}

/** A file with what should be known of it, or why there is none. */
export type Made =
  | { readonly file: Content; readonly notes: readonly string[] }
  /** It cannot be made so, in words. */
  | { readonly refusal: string }
  /** What turned out not to be computable. */
  | { readonly problems: readonly Problem[] };

/** Makes a file of a design: loads what it needs, computes it, refuses or makes it, and says what should be known. */
export async function makeFile(
  design: Design,
  format: Format,
  options: Partial<MakeOptions>,
  host: MakeHost,
): Promise<Made> {
  const asked = { ...USUAL_OPTIONS, ...options };
  const [trouble] = OPTION_NAMES.flatMap((name) => optionTrouble(name, asked[name]) ?? []);
  if (trouble !== undefined) return { refusal: trouble };
  try {
    return await makeAs(design, format, asked, host);
  } catch (error) {
    const refusal = tooLargeAFile(error);
    if (refusal === null) throw error;
    return { refusal };
  }
}

/** That a file is more than the machine takes, in words; null for any other error. */
function tooLargeAFile(error: unknown): string | null {
  if (error instanceof EngineEnded) return `${error.message}: try once more, or make the design simpler`;
  return isTooLarge(error)
    ? "it would be larger than memory has room for: lower a count or make the motif simpler"
    : null;
}

async function makeAs(design: Design, format: Format, asked: MakeOptions, host: MakeHost): Promise<Made> {
  if (format.kind === "print") return makePrint(design, format, asked, host);
  if (format.kind === "cut") return makeCut(design, format, asked, host);
  if (format.kind === "stitch") return makeStitches(design, format, asked, host);
  if (format.kind === "solid") return makeSolid(design, format, asked, host);
  const wanted =
    format.options.includes("lineArt") && asked.lineArt !== null ? lineArtOf(design, asked.lineArt) : design;
  await prepareFor(wanted, host);
  const whole = subjectOf(wanted, host.onWork);
  if (whole.scene.problems.length > 0) return { problems: whole.scene.problems };
  const subject = flattened(whole, format, asked);
  const refusal = refusalOf(subject, format, asked);
  if (refusal !== null) return { refusal };
  if (format.needsRasteriser?.(subject)) await loadRasteriser(host.rasteriser);
  return { file: await format.make(subject, asked), notes: format.notes?.(subject, asked) ?? [] };
}

/** Why a format does not make something, or would take too long. */
function refusalOf<S extends Subject>(subject: S, format: FormatTraits<S>, asked: MakeOptions): string | null {
  return format.refuses?.(subject, asked) ?? tooLong(subject, format, asked);
}

/** The same of what stands up, as finely as asked or as the design says. */
async function makeSolid(design: Design, format: SolidFormat, asked: MakeOptions, host: MakeHost): Promise<Made> {
  if (!hasSolids(design)) return { refusal: `“${design.name}” has no part that stands up; give one a depth first` };
  const flat = designForSolids(design);
  await Promise.all([prepareFor(flat, host), loadSolidEngine(host.solidEngine)]);
  const whole = subjectOf(flat, host.onWork);
  if (whole.scene.problems.length > 0) return { problems: whole.scene.problems };
  const tolerance = asked.tolerance ?? whole.scene.making.solid.tolerance;
  const layout = new SolidLayouter().layOut(design, whole.scene, tolerance);
  const solids = await makeBodies(layout, () => Promise.resolve(), format.asOne);
  if (solids.problems.length > 0) return { problems: solids.problems };
  if (solids.bodies.length === 0)
    return { refusal: `“${design.name}” has nothing that stands up: its solids are hidden or cutters` };
  return madeOf({ ...whole, design, solids }, format, asked);
}

/** The same of printed pages, as line art where the print is to be. */
async function makePrint(design: Design, format: PrintFormat, asked: MakeOptions, host: MakeHost): Promise<Made> {
  const subject = await printSubject(design, host);
  if ("problems" in subject) return subject;
  const refusal = refusalOf(subject, format, asked);
  if (refusal !== null) return { refusal };
  if (format.needsRasteriser?.(subject)) await loadRasteriser(host.rasteriser);
  return { file: await format.make(subject, asked), notes: format.notes?.(subject, asked) ?? [] };
}

/** The weight of line art where nothing is said, millimetres. */
const LINE_ART = 0.35;

/** What a print is made of: loads what the design needs, computes it, and lays it on pages. */
export async function printSubject(
  design: Design,
  host: MakeHost,
): Promise<PrintSubject | { readonly problems: readonly Problem[] }> {
  const wanted = design.making.print.lineArt ? lineArtOf(design, LINE_ART) : design;
  await prepareFor(wanted, host);
  const whole = subjectOf(wanted, host.onWork);
  if (whole.scene.problems.length > 0) return { problems: whole.scene.problems };
  return { ...whole, layout: layOutPages(whole.scene.sheet, whole.scene.making.print) };
}

/** The same of what is cut. */
async function makeCut(design: Design, format: CutFormat, asked: MakeOptions, host: MakeHost): Promise<Made> {
  const whole = await withGeometry(design, host);
  if ("problems" in whole) return whole;
  const planned = plannedInTime(whole, () => planCut(whole.scene));
  if ("refusal" in planned) return planned;
  const { plan } = planned;
  if (plan.strokes.length === 0)
    return { refusal: `“${design.name}” has nothing to cut: show a part that is cut, scored, engraved or drawn` };
  return madeOf({ ...whole, plan }, format, asked);
}

/** The same of what is sewn. */
async function makeStitches(design: Design, format: StitchFormat, asked: MakeOptions, host: MakeHost): Promise<Made> {
  const whole = await withGeometry(design, host);
  if ("problems" in whole) return whole;
  const planned = plannedInTime(whole, () => planStitches(whole.scene));
  if ("refusal" in planned) return planned;
  const { plan } = planned;
  if (plan.how.length === 0)
    return { refusal: `“${design.name}” has nothing to sew: show a part that has a fill, a line or stitches` };
  return madeOf({ ...whole, plan }, format, asked);
}

/** A design's subject, once outlines can be combined. */
async function withGeometry(
  design: Design,
  host: MakeHost,
): Promise<Subject | { readonly problems: readonly Problem[] }> {
  await Promise.all([prepareFor(design, host), loadGeometryEngine(host.geometryEngine)]);
  const whole = subjectOf(design, host.onWork);
  return whole.scene.problems.length > 0 ? { problems: whole.scene.problems } : whole;
}

/** What a format makes of its subject, unless it refuses. */
async function madeOf<S extends Subject>(subject: S, format: FormatTraits<S>, asked: MakeOptions): Promise<Made> {
  const refusal = refusalOf(subject, format, asked);
  if (refusal !== null) return { refusal };
  return { file: await format.make(subject, asked), notes: format.notes?.(subject, asked) ?? [] };
}

function flattened(subject: Subject, { options }: FlatFormat, { tolerance }: MakeOptions): Subject {
  if (tolerance === null || !options.includes("tolerance")) return subject;
  return { ...subject, scene: flattenedScene(subject.scene, tolerance) };
}
