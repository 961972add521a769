import {
  boxOfGeometry,
  changesWithin,
  dimensionsOf,
  measuredCopy,
  overOf,
  wholeBoxOf,
  boxOfPath,
  invert,
  loadGeometryEngine,
  matrixAt,
  multiply,
  ownStand,
  pathData,
  partsInside,
  placesToSnap,
  copiesWithSeams,
  seamsOf,
  withoutSeams,
  type Seams,
  SceneBuilder,
  stitchedScene,
  type Box,
  type Host,
  type Matrix,
  type MeasuredCopy,
  type PartScene,
  type Placements,
  type Point,
  type Scene,
} from "@twin-petal/core";
import { faceAt } from "@/paint/faceAt";
import { copyAt } from "@/paint/hitTest";
import { placingOf } from "@/paint/paintPart";
import { lookOf } from "@/paint/look";
import { paintScene } from "@/paint/paintScene";
import { Breather } from "./breather";
import type { ChosenReport, FoundCopy, FoundFace, Frame, FrameReport } from "./frame";

/** Between two looks for newer messages, milliseconds. */
const LOOK_EVERY = 16;
/** Seams of more copies than this are looked for when the hand has rested so long, milliseconds. */
const MOST_AT_ONCE = 400;
const REST = 200;
/** Of more sides of areas than this the desk keeps its seams; pictures that are taken away do not. */
const MOST_SIDES = 24_000;
/** A picture under way is finished, though a newer one is wanted, when nothing was shown for this long. */
const SHOW_AT_LEAST_EVERY = 250;

/**
 * Computes and paints pictures of a design. A newer frame overtakes an older one still being painted;
 * the last finished picture stays on the screen until then.
 */
export class Painter {
  private readonly builder = new SceneBuilder((part) => this.onWork?.(part));
  private onWork: ((part: string) => void) | null = null;
  private readonly breather = new Breather(LOOK_EVERY);
  private readonly back = new OffscreenCanvas(1, 1);
  private front: OffscreenCanvas | null = null;
  private scene: Scene | null = null;
  /** The scene shown last as thread. */
  private sewn: { readonly of: Scene; readonly scene: Scene } | null = null;
  /** Where areas touch in the scene they were looked for in last. */
  private seams: { readonly of: Scene; readonly found: Seams } | null = null;
  private latest = 0;
  /** Whether seams were left in the last picture, for want of time. */
  private isRough = false;
  private underWay: Promise<unknown> = Promise.resolve();
  private lastShown = 0;

  /** The host says where what designs need is loaded from. */
  constructor(private readonly host: Host) {}

  /** Takes the canvas pictures are shown on. */
  attach(canvas: OffscreenCanvas): void {
    this.front = canvas;
  }

  /** Tells the name of each part whose shapes are about to be computed. */
  watchWork(listener: (part: string) => void): void {
    this.onWork = listener;
  }

  /** Shows a frame; null when a newer one overtook it. */
  show(frame: Frame): Promise<FrameReport | null> {
    const turn = ++this.latest;
    // There is one canvas to paint on: what is under way gives up or ends first.
    const shown = this.underWay.then(() => this.showInTurn(frame, turn));
    this.underWay = shown.catch(() => undefined);
    return shown;
  }

  private async showInTurn(frame: Frame, turn: number): Promise<FrameReport | null> {
    // Messages that are waiting already may hold a newer frame: only the newest is computed.
    await this.breather.breathe();
    if (turn !== this.latest) return null;
    const scene = await this.builder.buildPrepared(frame.design, this.host);
    this.scene = scene;
    this.isRough = false;
    if (!(await this.paint(scene, frame, turn, false))) return null;
    if (this.isRough) setTimeout(() => this.refine(scene, frame, turn), REST);
    return reportOf(scene, frame);
  }

  /** Paints a picture once more with all that the hand's pace left no time for. */
  private refine(scene: Scene, frame: Frame, turn: number): void {
    const refined = this.underWay.then(() => turn === this.latest && this.paint(scene, frame, turn, true));
    this.underWay = refined.catch(() => undefined);
  }

  private isOvertaken(turn: number): boolean {
    return turn !== this.latest && performance.now() - this.lastShown < SHOW_AT_LEAST_EVERY;
  }

  private async paint(scene: Scene, frame: Frame, turn: number, rests: boolean): Promise<boolean> {
    const { view, size, density, colors } = frame;
    const to = placingOf(view, size, density);
    const { front, back } = this;
    const context = back.getContext("2d", { alpha: false });
    const shown = front?.getContext("2d", { alpha: false });
    if (!front || !context || !shown || to.width < 1 || to.height < 1) return false;
    setSize(back, to.width, to.height);
    const goOn = () => (this.breather.isDue() ? this.breather.breathe().then(() => !this.isOvertaken(turn)) : null);
    const seen = frame.thread ? await this.inThread(scene) : scene;
    const whole = frame.thread ? seen : this.withoutSeams(seen, 1 / to.scale, rests);
    if (!(await paintScene(context, whole, to, colors, goOn, lookOf(frame)))) return false;
    setSize(front, to.width, to.height);
    shown.drawImage(back, 0, 0);
    this.lastShown = performance.now();
    return true;
  }

  /** The scene without seams between areas that touch; those of many copies are looked for when the hand rests. */
  private withoutSeams(scene: Scene, pixel: number, rests: boolean): Scene {
    if (this.seams?.of !== scene && !rests && copiesWithSeams(scene) > MOST_AT_ONCE) {
      this.isRough = true;
      return scene;
    }
    if (this.seams?.of !== scene) this.seams = { of: scene, found: seamsOf(scene, MOST_SIDES) };
    return withoutSeams(scene, this.seams.found, pixel);
  }

  private async inThread(scene: Scene): Promise<Scene> {
    await loadGeometryEngine(this.host.geometryEngine);
    if (this.sewn?.of !== scene) this.sewn = { of: scene, scene: stitchedScene(scene) };
    return this.sewn.scene;
  }

  /** The topmost copy, of one part or of any, at a point of the sheet, millimetres, seen at so many pixels a millimetre. */
  copyAt(point: Point, scale: number, part?: string): FoundCopy | null {
    return this.scene && copyAt(this.scene, point, scale, part);
  }

  /** What the topmost copy at a point of the sheet measures; millimetres, seen at so many pixels a millimetre. */
  measureAt(point: Point, scale: number): MeasuredCopy | null {
    const found = this.copyAt(point, scale);
    const part = this.scene?.parts.find(({ id }) => id === found?.part);
    return found && part ? measuredCopy(part, found.copy) : null;
  }

  /** For each part the box of all that is painted, on the sheet. */
  boxes(): ReadonlyMap<string, Box> {
    return new Map(this.scene?.parts.map(({ id, geometry }) => [id, boxOfGeometry(geometry)]));
  }

  /** Ids of the parts that lie whole inside a loop drawn on the sheet, millimetres. */
  partsInside(loop: readonly Point[]): string[] {
    return this.scene ? partsInside(this.scene, loop) : [];
  }

  /** Places of shown parts but one that the hand can be drawn to, within a box of the sheet, millimetres. */
  placesToSnap(except: string | null, within: Box): ReturnType<typeof placesToSnap> {
    const others = this.scene?.parts.filter(({ id, visible }) => visible && id !== except) ?? [];
    return placesToSnap(others, within);
  }

  /** The face of a part at a point of the sheet, millimetres; null where there is none. */
  faceAt(part: string, point: Point): FoundFace | null {
    const geometry = this.scene?.parts.find(({ id }) => id === part)?.geometry;
    return geometry ? faceAt(geometry, point) : null;
  }

  /** The outline of one copy of a part, as path data, and where it stands. */
  outlineOf(part: string, copy: number): { outline: string; matrix: Matrix } | null {
    const copies = this.scene?.parts.find(({ id }) => id === part)?.geometry.copies;
    if (!copies || copy >= copies.placements.count) return null;
    const { placements, shapes } = copies;
    const shape = shapes[placements.shapeOf?.[copy] ?? 0];
    return shape ? { outline: pathData(shape.path), matrix: matrixAt(placements.matrices, copy) } : null;
  }

  /** Where one copy of a part stands. */
  matrixOf(part: string, copy: number): Matrix | null {
    const found = this.scene?.parts.find(({ id }) => id === part)?.geometry.copies.placements;
    return found && copy < found.count ? matrixAt(found.matrices, copy) : null;
  }
}

/** Setting a canvas's size empties it, so it is only set when it differs. */
function setSize(canvas: OffscreenCanvas, width: number, height: number): void {
  if (canvas.width !== Math.round(width)) canvas.width = Math.round(width);
  if (canvas.height !== Math.round(height)) canvas.height = Math.round(height);
}

function reportOf(scene: Scene, { chosen, copy }: Frame): FrameReport {
  const part = scene.parts.find(({ id }) => id === chosen);
  return {
    sheet: scene.sheet,
    guides: scene.guides,
    dimensions: dimensionsOf(scene),
    problems: scene.problems,
    copies: new Map(scene.parts.map(({ id, geometry }) => [id, geometry.copies.placements.count])),
    chosen: part ? chosenReport(part, copy) : null,
  };
}

function chosenReport({ id, geometry, finish }: PartScene, copy: number): ChosenReport {
  const { count, matrices, spans } = geometry.copies.placements;
  const working = matrixAt(matrices, Math.min(copy, count - 1));
  return {
    id,
    outline: pathData(geometry.path),
    motifBox: boxOfPath(geometry.path),
    source: matrixAt(matrices, 0),
    working: multiply(working, geometry.motifAt),
    neighbours: neighboursOf(geometry.copies.placements),
    wholeBox: changesWithin(finish.fill) && overOf(finish.fill) === "whole" ? wholeBoxOf(finish.fill, geometry) : null,
    wedge: geometry.wedge(),
    notes: geometry.notes,
    motifAt: geometry.motifAt,
    ownStand: ownStand(geometry),
    marks: geometry.marks(),
    crossings: geometry.crossings ?? [],
    openings: geometry.openings,
    rounds: spans.map(({ number, copies }) => ({ rule: number, copies })),
    links: geometry.links(),
    tiles: geometry.tiles(),
  };
}

/** Copies shown around the motif in its close-up. */
const NEIGHBOURS = 8;

/** The copies whose origins stand nearest to the source's, and the next ones made: as seen from the source. */
function neighboursOf({ count, matrices }: Placements): Matrix[] {
  const back = invert(matrixAt(matrices, 0));
  if (!back) return [];
  const near = new Set([1, 2, count - 1, count - 2].filter((copy) => copy > 0 && copy < count));
  const far = [...Array(Math.min(count, 400)).keys()].slice(1);
  const distance = (copy: number) => {
    const [, , , , e, f] = multiply(back, matrixAt(matrices, copy));
    return Math.hypot(e, f);
  };
  for (const copy of far.sort((a, b) => distance(a) - distance(b))) {
    if (near.size >= NEIGHBOURS) break;
    near.add(copy);
  }
  return [...near].map((copy) => multiply(back, matrixAt(matrices, copy)));
}
