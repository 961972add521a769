import {
  bledScene,
  checkPrint,
  loadRasteriser,
  makePng,
  pixelsOf,
  printSubject,
  problemLine,
  type Design,
  type PrintChecked,
  type PrintLayout,
  type PrintSubject,
} from "@twin-petal/core";
import { WEB_HOST } from "./webHost";

/** How a design lies on pages, and what was found about it. */
export interface ShownPrint {
  readonly layout: PrintLayout;
  readonly checks: readonly PrintChecked[];
}

/** Computes prints in a worker of their own. */
export class PrintWork {
  private subject: PrintSubject | null = null;

  /** Lays a design on pages; rejects in words. */
  async layOut(design: Design): Promise<ShownPrint> {
    const [subject] = await Promise.all([printSubject(design, WEB_HOST), loadRasteriser(WEB_HOST.rasteriser)]);
    if ("problems" in subject) throw new Error(subject.problems.map(problemLine).join("; "));
    this.subject = subject;
    const { scene, layout } = subject;
    return { layout, checks: checkPrint({ scene, layout, settings: scene.making.print }) };
  }

  /** The sheet of what was laid out last with its bleed, as a picture. */
  picture(dpi: number): Blob | null {
    const { subject } = this;
    if (!subject) return null;
    const { making } = subject.scene;
    const { bleed, scale } = making.print;
    const { sheet, ...scene } = bledScene(subject.scene, bleed / scale);
    const width = Math.min(MOST_PIXELS, pixelsOf(sheet.width * scale, dpi));
    return new Blob([makePng({ sheet, ...scene }, width)], { type: "image/png" });
  }
}

/** Pixels a picture on the screen has across at most. */
const MOST_PIXELS = 2_400;
