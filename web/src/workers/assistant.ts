import {
  bakedCopies,
  countCoinciding,
  gapsOf,
  goalOf,
  hasSolids,
  invert,
  loadGeometryEngine,
  SceneBuilder,
  stitchedScene,
  SolidBuilder,
  transformPath,
  valuesOfVary,
  type Design,
  pathData,
  pictureColors,
  Incomputable,
  type GapReport,
  type Baked,
} from "@twin-petal/core";
import { transfer } from "comlink";
import { placingOf } from "@/paint/paintPart";
import { paintScene, type DeskColors } from "@/paint/paintScene";
import { ornamentBox, sheetBox } from "@/paint/ornamentBox";
import { tilePicture } from "@/paint/tilePicture";
import { fitted, type Size } from "@/paint/view";
import type { PictureWish } from "@/desk/live/pictureQueue";
import { Breather } from "./breather";
import type { PartPicture, SheetPicture } from "./frame";
import { prepareInBrowser, WEB_HOST } from "./webHost";

/** Between two looks for newer messages, milliseconds. */
const LOOK_EVERY = 8;
/** Small pictures show the sheet alone. */
const NO_DESK: DeskColors = { page: "#FFFFFF", hairline: "#FFFFFF" };

/** Does what can wait: it has a thread of its own, so that the picture under the hand never waits for it. */
export class Assistant {
  private readonly builder = new SceneBuilder();
  /** Remembers the parts that neighbouring designs share. */
  private readonly pictureBuilder = new SceneBuilder();
  /** Builds the design the pictures are neighbours of. */
  private readonly baseBuilder = new SceneBuilder();
  /** Remembers the copies before the rule whose formulas are drawn. */
  private readonly formulaBuilder = new SceneBuilder();
  /** Remembers the meshes that neighbouring designs share. */
  private readonly solidBuilder = new SolidBuilder(WEB_HOST);
  /** Remembers the parts that the value looked for leaves alone. */
  private readonly solveBuilder = new SceneBuilder();
  private readonly breather = new Breather(LOOK_EVERY);
  private turn = 0;

  /** How many copies of a part only repeat another. */
  async countCoinciding(design: Design, id: string): Promise<number> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const part = scene.parts.find((known) => known.id === id);
    return part ? countCoinciding(part.geometry.copies.shapes, part.geometry.copies.placements) : 0;
  }

  /** The colours a picture's pixels (RGBA) are best told in, the most used first. */
  colorsOf(pixels: Uint8ClampedArray, count: number): string[] {
    return pictureColors(pixels, count);
  }

  /** A part's motif before anything is cut from it, as path data in its own space; null where it cannot be computed. */
  async motifOutline(design: Design, id: string): Promise<string | null> {
    const parts = design.parts.map((part) =>
      part.id === id ? { ...part, cutouts: [], rules: [], join: { ...part.join, trimToWedge: false } } : part,
    );
    const scene = await new SceneBuilder().buildPrepared({ ...design, parts }, WEB_HOST);
    const geometry = scene.parts.find((known) => known.id === id)?.geometry;
    const back = geometry && invert(geometry.motifAt);
    return back ? pathData(transformPath(geometry.path, back)) : null;
  }

  /** A part's copies as one motif; or why they cannot be. */
  async bake(design: Design, id: string): Promise<Baked | { readonly trouble: string }> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const part = scene.parts.find((known) => known.id === id);
    if (!part) return { trouble: "it has no picture yet" };
    try {
      return bakedCopies(part);
    } catch (error) {
      if (error instanceof Incomputable) return { trouble: error.message };
      throw error;
    }
  }

  /** How far a part is beyond what a number is to be set for; null where that cannot be said. */
  async measure(design: Design, part: string, kind: string, wanted: number): Promise<number | null> {
    const goal = goalOf(kind);
    if (!goal) return null;
    if (goal.needsEngine) await loadGeometryEngine(WEB_HOST.geometryEngine);
    const scene = await this.solveBuilder.buildPrepared(design, WEB_HOST);
    return scene.problems.length > 0 ? null : goal.measure(scene, part, wanted);
  }

  /** True distances between the copies of a part; null when it cannot be computed. */
  async gaps(design: Design, id: string): Promise<GapReport | null> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const part = scene.parts.find((known) => known.id === id);
    return part ? gapsOf(part.geometry) : null;
  }

  /** Drops the sheet picture under way. */
  standBack(): void {
    this.turn += 1;
  }

  /**
   * A small picture of what is on the sheet, or of the place the ornament of another design has there, or of the
   * solid; null when it had to stand back.
   */
  async picture({ design, around, about, size, isSolid, isThread }: PictureWish): Promise<SheetPicture | null> {
    const turn = this.turn;
    await this.breather.breathe();
    if (turn !== this.turn) return null;
    return isSolid && hasSolids(design)
      ? this.solidPicture(design, size)
      : this.sheetPicture({ design, around, about, size, isThread });
  }

  private async solidPicture(design: Design, { width, height }: Size): Promise<SheetPicture> {
    const made = await this.solidBuilder.picture(design, width, height);
    if ("problem" in made) return { bitmap: null, trouble: made.problem.message };
    const bitmap = await createImageBitmap(new ImageData(made.pixels, width, height));
    return transfer({ bitmap, trouble: null }, [bitmap]);
  }

  private async sheetPicture({
    design,
    around,
    about,
    size,
    isThread,
  }: Omit<PictureWish, "isSolid">): Promise<SheetPicture | null> {
    const turn = this.turn;
    const scene = await this.pictureBuilder.buildPrepared(design, WEB_HOST);
    const [problem] = scene.problems;
    if (problem) return { bitmap: null, trouble: problem.message };
    const canvas = new OffscreenCanvas(size.width, size.height);
    const context = canvas.getContext("2d");
    if (!context) throw new Error("the browser gives no canvas to paint on");
    const base = typeof around === "string" ? scene : await this.baseBuilder.buildPrepared(around, WEB_HOST);
    const box = around === "sheet" ? sheetBox(base.sheet) : ornamentBox(base, about);
    const goOn = () => (this.breather.isDue() ? this.breather.breathe().then(() => turn === this.turn) : null);
    if (isThread) await loadGeometryEngine(WEB_HOST.geometryEngine);
    const seen = isThread ? stitchedScene(scene) : scene;
    const whole = await paintScene(context, seen, placingOf(fitted(box, size, 0), size, 1), NO_DESK, goOn);
    if (!whole) return null;
    const bitmap = canvas.transferToImageBitmap();
    return transfer({ bitmap, trouble: null }, [bitmap]);
  }

  /** A formula's values from the first copy to the last, thinned out to so many; null when it has none. */
  async variedValues(
    design: Design,
    part: string,
    rule: number,
    field: string,
    most: number,
  ): Promise<readonly number[] | null> {
    await prepareInBrowser(design);
    const values = valuesOfVary(design, part, rule, field, (before) => this.formulaBuilder.build(before));
    if (!values) return null;
    const step = Math.max(1, (values.length - 1) / (most - 1));
    return Array.from({ length: Math.min(most, values.length) }, (_, k) => values[Math.round(k * step)] ?? 0);
  }

  /** A small picture of a design's topmost part, which need not be the one on the desk; null where it has none. */
  async piecePicture(design: Design, side: number): Promise<ImageBitmap | null> {
    const scene = await new SceneBuilder().buildPrepared(design, WEB_HOST);
    const top = scene.parts.at(-1);
    if (!top) return null;
    const bitmap = await tilePicture(top, side);
    return transfer(bitmap, [bitmap]);
  }

  /** Small pictures of every part, so many pixels to a side. */
  async partPictures(design: Design, side: number): Promise<PartPicture[]> {
    const scene = await this.builder.buildPrepared(design, WEB_HOST);
    const pictures: PartPicture[] = [];
    for (const part of scene.parts) {
      pictures.push({ id: part.id, bitmap: await tilePicture(part, side) });
    }
    return transfer(
      pictures,
      pictures.map(({ bitmap }) => bitmap),
    );
  }
}
