import { CUT_WAYS } from "../../design/cutFields";
import type { CutFormat, CutSubject } from "../format";
import { beyondFrame } from "./beyondFrame";
import { channelsOf, pdfMatrix, pdfNumbers, pdfPath } from "../pdf/operators";
import { newDocument, POINTS } from "../pdf/document";
import { HAIRLINE, WAY_COLORS } from "./colors";

/** A page as large as the frame with every line the head follows, a colour for each way. */
export async function makeCutPdf({ design, plan }: CutSubject): Promise<Uint8Array<ArrayBuffer>> {
  const { width, height } = plan.settings.frame;
  const { document, PDFName } = await newDocument(design.name);
  const page = document.addPage([width * POINTS, height * POINTS]);
  const words = [
    pdfMatrix([POINTS, 0, 0, -POINTS, (width / 2) * POINTS, (height / 2) * POINTS]),
    `${pdfNumbers([HAIRLINE])} w`,
    ...CUT_WAYS.flatMap((way) => {
      const runs = plan.strokes.filter(({ as }) => as === way).flatMap((stroke) => stroke.runs);
      if (runs.length === 0) return [];
      return [`${pdfNumbers(channelsOf(WAY_COLORS[way]).rgb)} RG`, ...runs.map((run) => `${pdfPath([run])} S`)];
    }),
  ];
  const { context } = document;
  page.node.set(PDFName.of("Contents"), context.register(context.flateStream(words.join("\n"))));
  return new Uint8Array(await document.save({ useObjectStreams: true }));
}

/** The lines of the cut on a page. */
export const cutPdf: CutFormat = {
  extension: "cut.pdf",
  mediaType: "application/pdf",
  kind: "cut",
  options: [],
  notes: beyondFrame,
  make: makeCutPdf,
};
