import { zipSync } from "fflate";
import { rasterise } from "../../engines/rasteriser";
import type { Scene } from "../../scene/scene";
import type { FlatFormat, MakeOptions } from "../format";
import { pictureSeconds } from "../pictureSeconds";
import { makePng, MILLIMETRES_PER_INCH } from "../png";
import { svgOfScene } from "../svg/svg";
import { buildUpOf, sceneOf } from "./buildUp";

/** Frames a second. */
const A_SECOND = 25;
/** The whole is looked at for so many frames at the end. */
const REST = 25;
/** Frames of one film, and pixels of all of them together. */
const MOST_FRAMES = 3_000;
const MOST_PIXELS = 2_000_000_000;

/** Entries carry no time of their own, so that a design always makes the same bytes. */
const STORED = { level: 0, mtime: new Date(1980, 0, 1) } as const;

/** The build-up as numbered pictures, 25 for each second, which any program that makes films takes in. */
export const filmZip: FlatFormat = {
  extension: "film.zip",
  mediaType: "application/zip",
  kind: "picture",
  options: ["duration", "pixels"],
  needsRasteriser: () => true,
  refuses: ({ scene: { sheet } }, options) => tooLong(sheet, options),
  // Every frame paints half of the whole in the mean.
  seconds: (_, { scene }, options) =>
    (framesOf(options) / 2) * pictureSeconds(scene, sizeOf(scene.sheet, options).width),
  notes: (_, options) => [`${framesOf(options)} frames, ${A_SECOND} for each second`],
  make({ scene }, options) {
    const buildUp = buildUpOf(scene);
    const steps = framesOf(options) - REST;
    const { width } = sizeOf(scene.sheet, options);
    const pictures = new Map<number, Uint8Array<ArrayBuffer>>();
    const files: Record<string, Uint8Array> = {};
    for (let frame = 0; frame < framesOf(options); frame++) {
      const shown = Math.ceil((Math.min(frame + 1, steps) / steps) * buildUp.count);
      const picture = pictures.get(shown) ?? pictureOf(scene, sceneOf(scene, buildUp, shown), width);
      // Only the last one comes again: those of the way are let go of.
      pictures.clear();
      pictures.set(shown, picture);
      files[`frame-${String(frame + 1).padStart(4, "0")}.png`] = picture;
    }
    return new Uint8Array(zipSync(files, STORED));
  },
};

/** A frame of the way is painted as it is; the whole as every picture of the design. */
function pictureOf(whole: Scene, scene: Scene, width: number): Uint8Array<ArrayBuffer> {
  if (scene.parts.length > 0 && scene.parts.every((part) => whole.parts.includes(part))) return makePng(scene, width);
  const imageDpi = (width / scene.sheet.width) * MILLIMETRES_PER_INCH;
  const pixels = { width, height: Math.max(1, Math.round((width * scene.sheet.height) / scene.sheet.width)) };
  const svg = svgOfScene(scene, { title: "", unit: "mm", embed: null, imageDpi, pixels });
  return rasterise(svg, width, ({ png }) => png());
}

function framesOf({ duration }: Pick<MakeOptions, "duration">): number {
  return Math.max(1, Math.round(duration * A_SECOND)) + REST;
}

/** Pixels each way; `pixels` is the longer side. */
function sizeOf({ width, height }: Scene["sheet"], { pixels }: Pick<MakeOptions, "pixels">) {
  const scale = Math.round(pixels) / Math.max(width, height);
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

function tooLong(sheet: Scene["sheet"], options: MakeOptions): string | null {
  const frames = framesOf(options);
  if (frames > MOST_FRAMES) {
    const most = Math.floor((MOST_FRAMES - REST) / A_SECOND);
    return `a film of ${options.duration} s has ${frames} frames; at most ${MOST_FRAMES} can be made: ask for ${most} s`;
  }
  const { width, height } = sizeOf(sheet, options);
  if (frames * width * height <= MOST_PIXELS) return null;
  const most = Math.floor(options.pixels * Math.sqrt(MOST_PIXELS / (frames * width * height)));
  return `${frames} frames of ${width} × ${height} pixels are too many together: ask for ${most} pixels, or fewer seconds`;
}
