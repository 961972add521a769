import { PRINT_MAKING } from "../../design/makingFields";
import type { ResolvedOf } from "../../fields/field";
import type { Size } from "../../geometry/size";
import { settingsBy } from "../settings";
import type { Device, DeviceRun, Refusal } from "../device";

type Settings = ResolvedOf<typeof PRINT_MAKING.fields>;

const { readSettings, isSettings } = settingsBy(PRINT_MAKING);

const MILLIMETRES_PER_POINT = 25.4 / 72;
/** Paper this much larger or smaller than a page is the same, millimetres. */
const SAME_SIZE = 0.5;
/** A page takes this long, and longer the larger it is: seconds, and seconds a square metre. */
const PAGE = 3;
const AREA = 60;
const MOST_PAGES = 500;

/** The simulated printer of pages: reads a PDF, and prints page by page on the paper that is in it. */
export const pagePrinter: Device = {
  kind: "printer",
  name: "printer of pages",
  reads: ["pdf"],
  stepName: "page",
  readSettings,
  async open(file, settings) {
    if (!isSettings(settings)) throw new Error("these are not the settings of the printer of pages");
    const pages = await pagesIn(file);
    if ("refusal" in pages) return pages;
    const refusal = refusalOf(pages, settings);
    return refusal === null ? runOf(pages) : { refusal };
  },
};

async function pagesIn(file: Uint8Array): Promise<readonly Size[] | Refusal> {
  // A PDF begins with these four letters.
  if (String.fromCharCode(...file.subarray(0, 4)) !== "%PDF")
    return { refusal: "This is no PDF, which is what this printer reads." };
  const { PDFDocument } = await import("pdf-lib");
  try {
    const document = await PDFDocument.load(file);
    return document.getPages().map((page) => {
      const { width, height } = page.getMediaBox();
      return { width: width * MILLIMETRES_PER_POINT, height: height * MILLIMETRES_PER_POINT };
    });
  } catch {
    return { refusal: "The PDF cannot be read: it is broken or locked; make it again." };
  }
}

function refusalOf(pages: readonly Size[], { paper }: Settings): string | null {
  if (pages.length === 0) return "There is nothing to print: the PDF has no pages.";
  if (pages.length > MOST_PAGES)
    return `The PDF has ${pages.length} pages; this printer takes ${MOST_PAGES} at a time.`;
  const isSame = (a: number, b: number) => Math.abs(a - b) <= SAME_SIZE;
  const at = pages.findIndex(({ width, height }) => !isSame(width, paper.width) || !isSame(height, paper.height));
  const other = pages[at];
  const size = ({ width, height }: Size) => `${width.toFixed(0)} × ${height.toFixed(0)} mm`;
  return other
    ? `Page ${at + 1} is ${size(other)}, but the paper is ${size(paper)}; choose that paper, or make the pages anew.`
    : null;
}

function runOf(pages: readonly Size[]): DeviceRun {
  const done = { pages: 0, seconds: 0, area: 0 };
  return {
    steps: pages.length,
    step(index) {
      const { width, height } = pages[index] ?? { width: 0, height: 0 };
      // Square metres, of millimetres.
      const area = (width * height) / 1e6;
      const seconds = PAGE + area * AREA;
      done.pages += 1;
      done.area += area;
      done.seconds += seconds;
      return { seconds, trace: { page: index + 1, width, height } };
    },
    report: () => ({ ...done }),
  };
}
