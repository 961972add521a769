import { boxOfPath, matrixAt, pathData, SceneBuilder, type PartScene, type Point, type Scene } from "@twin-petal/core";
import { partAt } from "@/paint/hitTest";
import { placingOf } from "@/paint/paintPart";
import { paintScene } from "@/paint/paintScene";
import { Breather } from "./breather";
import type { ChosenReport, Frame, FrameReport } from "./frame";

/** Between two looks for newer messages, milliseconds. */
const LOOK_EVERY = 16;
/** A picture under way is finished, though a newer one is wanted, when nothing was shown for this long. */
const SHOW_AT_LEAST_EVERY = 250;

/**
 * Computes and paints pictures of a design. A newer frame overtakes an older one still being painted;
 * the last finished picture stays on the screen until then.
 */
export class Painter {
  private readonly builder = new SceneBuilder();
  private readonly breather = new Breather(LOOK_EVERY);
  private readonly back = new OffscreenCanvas(1, 1);
  private front: OffscreenCanvas | null = null;
  private scene: Scene | null = null;
  private latest = 0;
  private lastShown = 0;

  /** Takes the canvas pictures are shown on. */
  attach(canvas: OffscreenCanvas): void {
    this.front = canvas;
  }

  /** Shows a frame; null when a newer one overtook it. */
  async show(frame: Frame): Promise<FrameReport | null> {
    const turn = ++this.latest;
    // Messages that are waiting already may hold a newer frame: only the newest is computed.
    await this.breather.breathe();
    if (this.isOvertaken(turn)) return null;
    const scene = this.builder.build(frame.design);
    this.scene = scene;
    return (await this.paint(scene, frame, turn)) ? reportOf(scene, frame.chosen) : null;
  }

  private isOvertaken(turn: number): boolean {
    return turn !== this.latest && performance.now() - this.lastShown < SHOW_AT_LEAST_EVERY;
  }

  private async paint(scene: Scene, { view, size, density, colors }: Frame, turn: number): Promise<boolean> {
    const to = placingOf(view, size, density);
    const { front, back } = this;
    const context = back.getContext("2d", { alpha: false });
    const shown = front?.getContext("2d", { alpha: false });
    if (!front || !context || !shown || to.width < 1 || to.height < 1) return false;
    setSize(back, to.width, to.height);
    const goOn = () => (this.breather.isDue() ? this.breather.breathe().then(() => !this.isOvertaken(turn)) : null);
    if (!(await paintScene(context, scene, to, colors, goOn))) return false;
    setSize(front, to.width, to.height);
    shown.drawImage(back, 0, 0);
    this.lastShown = performance.now();
    return true;
  }

  /** The part at a point of the sheet, millimetres, seen at so many pixels a millimetre. */
  partAt(point: Point, scale: number): string | null {
    return this.scene && partAt(this.scene, point, scale);
  }
}

/** Setting a canvas's size empties it, so it is only set when it differs. */
function setSize(canvas: OffscreenCanvas, width: number, height: number): void {
  if (canvas.width !== Math.round(width)) canvas.width = Math.round(width);
  if (canvas.height !== Math.round(height)) canvas.height = Math.round(height);
}

function reportOf(scene: Scene, chosen: string | null): FrameReport {
  const part = scene.parts.find(({ id }) => id === chosen);
  return {
    sheet: scene.sheet,
    guides: scene.guides,
    problems: scene.problems,
    copies: new Map(scene.parts.map(({ id, geometry }) => [id, geometry.placements.count])),
    chosen: part ? chosenReport(part) : null,
  };
}

function chosenReport({ id, geometry }: PartScene): ChosenReport {
  return {
    id,
    outline: pathData(geometry.path),
    motifBox: boxOfPath(geometry.path),
    source: matrixAt(geometry.placements.matrices, 0),
    marks: geometry.marks,
  };
}
