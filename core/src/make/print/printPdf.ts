import type { PDFPage } from "pdf-lib";
import { bledScene } from "../../print/bledScene";
import type { PrintPage } from "../../print/layout";
import type { Box } from "../../geometry/box";
import type { Size } from "../../geometry/size";
import { hasEffectImages } from "../images/imagesWithin";
import { USUAL_OPTIONS, type PrintFormat, type PrintSubject } from "../format";
import { secondsFor } from "../makingSeconds";
import { newDocument, POINTS } from "../pdf/document";
import { pdfMatrix, pdfNumbers } from "../pdf/operators";
import { Resources } from "../pdf/resources";
import { PDF_SECONDS, sceneContent } from "../pdf/pdf";

/** How wide marks are drawn, millimetres. */
const MARK = 0.1;

/** The pages at real size: the sheet once as a form, laid into every page where it shows, with trim and bleed boxes. */
export async function makePrintPdf({ design, scene, layout }: PrintSubject): Promise<Uint8Array<ArrayBuffer>> {
  const { document, PDFName } = await newDocument(design.name);
  const { context } = document;
  const { paper, pages } = layout;
  const { bleed, scale, grey } = scene.making.print;
  const bled = bledScene(scene, bleed / scale);
  const own = new Resources(context);
  const [halfWidth, halfHeight] = [bled.sheet.width / 2, bled.sheet.height / 2];
  // A form's patterns go by the form's own space, which is the sheet's.
  const content = sceneContent(bled, own, [1, 0, 0, 1, 0, 0], USUAL_OPTIONS.dpi);
  const form = context.register(
    context.flateStream(content, {
      Type: "XObject",
      Subtype: "Form",
      BBox: [-halfWidth, -halfHeight, halfWidth, halfHeight],
      Group: { S: "Transparency", CS: "DeviceRGB", I: true },
      Resources: own.dictionary(),
    }),
  );
  for (const laid of pages) {
    const page = document.addPage([paper.width * POINTS, paper.height * POINTS]);
    const resources = new Resources(context);
    const words = pageWords(
      laid,
      resources.form("sheet", () => form),
      paper,
    );
    // Grey: a colour without saturation laid over everything leaves only how light it is.
    const toned = grey
      ? [`q ${resources.blend("saturation")} 0.5 g 0 0 ${pdfNumbers([paper.width, paper.height])} re f Q`]
      : [];
    const all = [pdfMatrix([POINTS, 0, 0, -POINTS, 0, paper.height * POINTS]), ...words, ...toned].join("\n");
    page.node.set(PDFName.of("Contents"), context.register(context.flateStream(all)));
    page.node.set(PDFName.of("Resources"), resources.dictionary());
    page.node.set(PDFName.of("Group"), context.obj({ S: "Transparency", CS: "DeviceRGB" }));
    setBoxes(page, laid, paper.height);
  }
  return new Uint8Array(await document.save({ useObjectStreams: true }));
}

function pageWords({ windows, marks }: PrintPage, form: string, paper: Size): string[] {
  const rectangle = ({ left, top, right, bottom }: Box) => `${pdfNumbers([left, top, right - left, bottom - top])} re`;
  return [
    // White under everything, so that grey and blends have paper to go by.
    `1 g ${pdfNumbers([0, 0, paper.width, paper.height])} re f`,
    ...windows.map(({ clip, matrix }) => `q ${rectangle(clip)} W n ${pdfMatrix(matrix)} /${form} Do Q`),
    `0 G ${pdfNumbers([MARK])} w`,
    ...marks.map(([from, to]) => `${pdfNumbers([from.x, from.y])} m ${pdfNumbers([to.x, to.y])} l S`),
  ];
}

/** Boxes count from the lower left corner. */
function setBoxes(page: PDFPage, { trim, bleed }: PrintPage, height: number): void {
  const sides = ({ left, top, right, bottom }: Box): [number, number, number, number] => [
    left * POINTS,
    (height - bottom) * POINTS,
    (right - left) * POINTS,
    (bottom - top) * POINTS,
  ];
  page.setTrimBox(...sides(trim));
  page.setBleedBox(...sides(bleed));
}

/** The pages of a print. */
export const printPdf: PrintFormat = {
  extension: "print.pdf",
  mediaType: "application/pdf",
  kind: "print",
  options: [],
  needsRasteriser: hasEffectImages,
  seconds: (drawn) => secondsFor(drawn, PDF_SECONDS),
  make: makePrintPdf,
};
