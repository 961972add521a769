import type { CutPlan } from "../cut/plan";
import type { Size } from "../geometry/size";
import type { DrawnSize } from "../scene/drawnSize";
import type { Design } from "../design/design";
import type { PrintLayout } from "../print/layout";
import type { StitchPlan } from "../stitch/stitchPlan";
import type { SolidSubject, Subject } from "./subject";

/** What a maker may be told. */
export interface MakeOptions {
  /** Dots an inch, for pictures. */
  readonly dpi: number;
  /** How far straight pieces may leave the curves they stand for, millimetres; null keeps the curves. */
  readonly tolerance: number | null;
  /** The weight of line art, millimetres; null keeps the finish. */
  readonly lineArt: number | null;
  /** Which page, counted from 1, where a file holds one. */
  readonly page: number;
  /** How long a film is built up, seconds. */
  readonly duration: number;
  /** The longer side of a film's frames, pixels. */
  readonly pixels: number;
}

/** What is made where nothing is said. */
export const USUAL_OPTIONS: MakeOptions = {
  dpi: 300,
  tolerance: null,
  lineArt: null,
  page: 1,
  duration: 6,
  pixels: 720,
};

/** What options may be; what is out of these is refused before anything is computed. */
const OPTION_LIMITS: Readonly<Record<keyof MakeOptions, { readonly min: number; readonly max: number }>> = {
  dpi: { min: 0.1, max: 1_000_000 },
  tolerance: { min: 0.001, max: 10 },
  lineArt: { min: 0.01, max: 100 },
  page: { min: 1, max: 10_000 },
  duration: { min: 0.1, max: 600 },
  pixels: { min: 1, max: 16_384 },
};

/** What an option must be, in words, where a number is out of its limits; null where it is right. */
export function optionTrouble(name: keyof MakeOptions, value: number | null): string | null {
  const { min, max } = OPTION_LIMITS[name];
  if (value === null || (value >= min && value <= max)) return null;
  return `“${name}” is ${value}; it must be a number from ${min} to ${max.toLocaleString("en")}`;
}

/** The names of what makers may be told. */
export const OPTION_NAMES = Object.keys(OPTION_LIMITS).filter(
  (name): name is keyof MakeOptions => name in USUAL_OPTIONS,
);

/** What a file is: outlines, pixels, the design or the scene as data, solids, what a cutter does, printed pages, or stitches. */
type FormatKind = "drawing" | "picture" | "data" | "solid" | "cut" | "print" | "stitch";

/** What a file is made of: text or bytes. */
export type Content = string | Uint8Array<ArrayBuffer>;

/** A file format. Adding one is a file with one of these and a line in the list. */
export type Format = FlatFormat | SolidFormat | CutFormat | PrintFormat | StitchFormat;

/** What is known of every format; `S` is what it is made of. */
export interface FormatTraits<S extends Subject> {
  /** The file's ending without the dot; also the `as` of the interface over HTTP. */
  readonly extension: string;
  /** As HTTP names it. */
  readonly mediaType: string;
  /** Which options change it. */
  readonly options: readonly (keyof MakeOptions)[];
  /** Whether it makes sense for a design; every one where left out. */
  offered?: (design: Design) => boolean;
  /** Why this cannot be made with these options, or null. */
  refuses?: (subject: S, options: MakeOptions) => string | null;
  /** About how many seconds it takes on a usual machine, beside what computing the design does; next to none where left out. */
  seconds?: (drawn: DrawnSize, subject: S, options: MakeOptions) => number;
  /** What is not as the format would best have it, in words. */
  notes?: (subject: S, options: MakeOptions) => readonly string[];
  /** The file's text or bytes, of what it is made from and its options. */
  make: (subject: S, options: MakeOptions) => Content | Promise<Content>;
}

/** A format of what lies flat. */
export interface FlatFormat extends FormatTraits<Subject> {
  /** Whether it is a drawing, a picture or data. */
  readonly kind: Exclude<FormatKind, "solid" | "cut" | "print" | "stitch">;
  /** Dots an inch of the images in what is a drawing otherwise, where so many are asked for on a sheet; millimetres. */
  imageDpi?: (sheet: Size, asked: number) => number;
  /** Whether soft shades are said in its own words, and not as images. */
  readonly saysShades?: boolean;
  /** Whether the rasteriser must be loaded before this is made. */
  needsRasteriser?: (subject: Subject) => boolean;
}

/** A format of what stands up. */
export interface SolidFormat extends FormatTraits<SolidSubject> {
  /** Tells it from flat ones. */
  readonly kind: "solid";
  /** Whether it is made of everything as one surface. */
  readonly asOne?: boolean;
}

/** A subject with what a cutter does to make it. */
export interface CutSubject extends Subject {
  /** Every move, in order. */
  readonly plan: CutPlan;
}

/** A format of what is cut. */
export interface CutFormat extends FormatTraits<CutSubject> {
  /** Tells it from others. */
  readonly kind: "cut";
}

/** A subject with how it lies on pages. */
export interface PrintSubject extends Subject {
  /** Every page. */
  readonly layout: PrintLayout;
}

/** A format of printed pages. */
export interface PrintFormat extends FormatTraits<PrintSubject> {
  /** Tells it from others. */
  readonly kind: "print";
  /** Dots an inch of the images in what is a drawing otherwise, where so many are asked for on a sheet; millimetres. */
  imageDpi?: (sheet: Size, asked: number) => number;
  /** Whether the rasteriser must be loaded before this is made. */
  needsRasteriser?: (subject: PrintSubject) => boolean;
}

/** A subject with how it is sewn. */
export interface StitchSubject extends Subject {
  /** Every stitch, in order. */
  readonly plan: StitchPlan;
}

/** A format of what is sewn. */
export interface StitchFormat extends FormatTraits<StitchSubject> {
  /** Tells it from others. */
  readonly kind: "stitch";
}
