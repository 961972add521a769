import { dpiWithin } from "../../finish/dpiWithin";
import { secondsFor } from "../makingSeconds";
import type { Matrix } from "../../geometry/matrix";
import { madeLayers } from "../../scene/made";
import type { PartScene, Scene } from "../../scene/scene";
import { effectImages } from "../images/effectImages";
import { hasEffectImages, imagesWithin } from "../images/imagesWithin";
import { USUAL_OPTIONS, type FlatFormat, type MakeOptions } from "../format";
import type { Subject } from "../subject";
import type { PlacedRaster } from "../../finish/pools";
import { newDocument, POINTS } from "./document";
import { pdfMatrix } from "./operators";
import { partContent } from "./partContent";
import { Resources } from "./resources";

/**
 * The design as a PDF of one page at real size. Shadows, grain and the like, and pools, are images in it; the
 * rasteriser must have been loaded for the former.
 */
export async function makePdf(
  { design, scene }: Subject,
  { dpi }: Pick<MakeOptions, "dpi"> = USUAL_OPTIONS,
): Promise<Uint8Array<ArrayBuffer>> {
  const { document, PDFName } = await newDocument(design.name);
  const { width, height } = scene.sheet;
  const page = document.addPage([width * POINTS, height * POINTS]);
  const { context } = document;
  const resources = new Resources(context);
  // Millimetres about the middle, y down, to points from the lower left corner, y up.
  const toPage: Matrix = [POINTS, 0, 0, -POINTS, (width / 2) * POINTS, (height / 2) * POINTS];
  const content = [pdfMatrix(toPage), sceneContent(scene, resources, toPage, dpi)].join("\n");
  page.node.set(PDFName.of("Contents"), context.register(context.flateStream(content)));
  page.node.set(PDFName.of("Resources"), resources.dictionary());
  return new Uint8Array(await document.save({ useObjectStreams: true }));
}

/** The operators that paint a scene in the sheet's millimetres. `toPage` takes those to the stream's own space. */
export function sceneContent(scene: Scene, resources: Resources, toPage: Matrix, dpi: number): string {
  return madeLayers(scene)
    .map((part) => blended(part, resources, toPage, { sheet: scene.sheet, dpi: dpiWithin(scene.sheet, dpi) }))
    .join("\n");
}

/** The sheet, and how finely images within lie on it. */
interface Imaged extends Pick<Scene, "sheet"> {
  /** Dots an inch. */
  readonly dpi: number;
}

/** A part with what lies under and over it. */
function layered(part: PartScene, resources: Resources, toPage: Matrix, { sheet, dpi }: Imaged): string {
  const grid = { dpi, from: { x: -sheet.width / 2, y: -sheet.height / 2 } };
  const { under, over } = effectImages(part, { sheet }, grid);
  const laid = (image: PlacedRaster | null, key: string) => {
    if (!image) return [];
    const { left, top, right, bottom } = image.box;
    const name = resources.image(`${key} ${part.id}`, () => image.raster);
    return ["q", pdfMatrix([right - left, 0, 0, top - bottom, left, bottom]), `/${name} Do`, "Q"];
  };
  return [...laid(under, "under"), partContent(part, resources, toPage), ...laid(over, "over")].join("\n");
}

/** A part that blends is a group of its own: its copies blend as one with what is below. */
function blended(part: PartScene, resources: Resources, toPage: Matrix, imaged: Imaged): string {
  if (part.blend === "normal") return layered(part, resources, toPage, imaged);
  const { sheet } = imaged;
  const { context } = resources;
  const name = resources.form(part.id, () => {
    const own = new Resources(context);
    // A form's patterns go by the form's own space, which is the sheet's.
    const content = layered(part, own, [1, 0, 0, 1, 0, 0], imaged);
    const stream = context.flateStream(content, {
      Type: "XObject",
      Subtype: "Form",
      BBox: [-sheet.width / 2, -sheet.height / 2, sheet.width / 2, sheet.height / 2],
      Group: { S: "Transparency", I: true },
      Resources: own.dictionary(),
    });
    return context.register(stream);
  });
  return `q ${resources.blend(part.blend)} /${name} Do Q`;
}

/** What some readers draw in another way than was meant. */
function readOtherwise({ scene }: Subject): string[] {
  return scene.parts.some(({ blend }) => blend === "saturation")
    ? ["some readers of PDF blend saturation in a way of their own: look at it before it is printed, or take a PNG"]
    : [];
}

/** What each takes in a PDF, where every copy's outline is written. */
export const PDF_SECONDS = { copies: 50e-6, sides: 14e-6, dots: 110e-6 };

/** The design on a page at real size. */
export const pdf: FlatFormat = {
  extension: "pdf",
  mediaType: "application/pdf",
  kind: "drawing",
  options: ["dpi", "tolerance", "lineArt"],
  needsRasteriser: hasEffectImages,
  notes: (subject, { dpi }) => [
    ...imagesWithin(subject, dpiWithin(subject.scene.sheet, dpi)),
    ...readOtherwise(subject),
  ],
  imageDpi: dpiWithin,
  seconds: (drawn) => secondsFor(drawn, PDF_SECONDS),
  make: makePdf,
};
