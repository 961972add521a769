import { unwaited } from "@/api/unwaited";
import { proxy, transfer, type Remote } from "comlink";
import { PerspectiveCamera, Vector3 } from "three";
import { OrbitControls } from "three/addons/controls/OrbitControls.js";
import type { Point, SpacePoint } from "@twin-petal/core";
import type { PictureSize, SolidChange, SolidPainter } from "@/workers/solidPainter";
import { uncover } from "@/paint/uncover";
import { startSolidPainter } from "@/workers/start";
import type { Look } from "./eye";
import { FIELD } from "./outlooks";
import type { Met } from "./picture/content";

/** Where a point in space is seen, in pixels of the view; null behind the eye. */
export type Place = (point: SpacePoint) => Point | null;

/** Who is told what happens on a picture. */
interface PictureListener {
  readonly onClick: (met: Met | null) => void;
  /** Told after every picture where points in space are seen on it. */
  readonly onDrawn: ((place: Place) => void) | null;
}

/** Pixels a pointer may move and still have clicked. */
const STILL = 4;

/** A canvas of solids within an element: drawn by a worker, turned by the pointer here. */
export class SolidPicture {
  readonly canvas = document.createElement("canvas");
  /** Rejects where solids cannot be drawn here. */
  readonly attached: Promise<void>;
  private readonly painter: Remote<SolidPainter>;
  private readonly endPainter: () => void;
  /** Resolves when what draws here has ended by itself: then nothing more is drawn, and another picture is to take its place. */
  readonly ended: Promise<void>;
  private listener: PictureListener = { onClick: () => undefined, onDrawn: null };
  /** Where the hand has the eye, and where the eye of the picture that is shown was. */
  private readonly camera = eyeCamera();
  private readonly drawn = eyeCamera();
  private readonly controls: OrbitControls;
  private readonly sizes: ResizeObserver;
  private readonly told = new Set<number>();
  /** Kept, since asking the page for it would lay it out anew. */
  private size: PictureSize;
  private down: Point | null = null;
  private awaited = 0;
  private isCurrent = false;

  constructor(host: HTMLElement) {
    const { work, ended, end } = startSolidPainter();
    [this.painter, this.endPainter, this.ended] = [work, end, ended];
    this.canvas.className = "absolute inset-0 size-full";
    // Below the canvas of one that ended, which stays until this one has something to show.
    host.prepend(this.canvas);
    const offscreen = this.canvas.transferControlToOffscreen();
    this.size = sizeOf(host);
    const onDrawn = proxy((look: Look) => this.tellDrawn(look));
    this.attached = work.attach(transfer(offscreen, [offscreen]), this.size, onDrawn);
    this.shape();
    this.controls = new OrbitControls(this.camera, this.canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener("change", this.tellLook);
    this.canvas.addEventListener("pointerdown", this.onDown);
    this.canvas.addEventListener("pointerup", this.onUp);
    this.sizes = new ResizeObserver(() => {
      this.size = sizeOf(host);
      this.shape();
      unwaited(this.painter.resize(this.size));
    });
    this.sizes.observe(host);
  }

  /** Says who is told of clicks and pictures from now on. */
  listen(listener: PictureListener): void {
    this.listener = listener;
  }

  /** Where the eye stands and what it looks at. */
  get look(): Look {
    return { from: this.camera.position.toArray(), to: this.controls.target.toArray() };
  }

  /** Moves the eye. */
  lookFrom({ from, to }: Look): void {
    this.camera.position.set(...from);
    this.controls.target.set(...to);
    this.controls.update();
    this.tellLook();
  }

  /** Says whether what is shown is the design as it now is. */
  setCurrent(isCurrent: boolean): void {
    this.isCurrent = isCurrent;
    this.sayPainted();
  }

  /** Shows a change. */
  show(change: SolidChange): void {
    if (!change.meshes) return this.follow(this.painter.show(change));
    const fresh = [...change.meshes].filter(([number]) => !this.told.has(number));
    // What is no longer shown the painter forgets.
    this.told.clear();
    for (const number of change.meshes.keys()) this.told.add(number);
    this.follow(this.painter.show({ ...change, meshes: new Map(fresh) }));
  }

  /** Nothing more is drawn; the last picture stays. */
  end(): void {
    this.sizes.disconnect();
    this.controls.dispose();
    this.endPainter();
  }

  private shape(): void {
    for (const camera of [this.camera, this.drawn]) {
      camera.aspect = this.size.width / this.size.height;
      camera.updateProjectionMatrix();
    }
  }

  private readonly tellLook = (): void => this.follow(this.painter.lookFrom(this.look));

  /** Until everything asked is drawn the canvas says that it is not painted. */
  private follow(drawing: Promise<void>): void {
    this.awaited += 1;
    this.sayPainted();
    const onDrawn = () => {
      this.awaited -= 1;
      this.sayPainted();
    };
    drawing.then(onDrawn, onDrawn);
  }

  private sayPainted(): void {
    this.canvas.setAttribute("data-painted", this.isCurrent && this.awaited === 0 ? "yes" : "no");
  }

  private tellDrawn({ from, to }: Look): void {
    uncover(this.canvas);
    this.drawn.position.set(...from);
    this.drawn.lookAt(...to);
    this.drawn.updateMatrixWorld();
    this.listener.onDrawn?.(({ x, y, z }) => {
      const seen = new Vector3(x, y, z).project(this.drawn);
      if (seen.z > 1) return null;
      const { width, height } = this.size;
      return { x: ((seen.x + 1) / 2) * width, y: ((1 - seen.y) / 2) * height };
    });
  }

  private readonly onDown = (event: PointerEvent): void => {
    this.down = event.button === 0 ? { x: event.clientX, y: event.clientY } : null;
  };

  private readonly onUp = ({ clientX, clientY }: PointerEvent): void => {
    const still = this.down && Math.hypot(clientX - this.down.x, clientY - this.down.y) < STILL;
    this.down = null;
    if (!still) return;
    const { left, top, width, height } = this.canvas.getBoundingClientRect();
    const [x, y] = [((clientX - left) / width) * 2 - 1, 1 - ((clientY - top) / height) * 2];
    unwaited(this.painter.pick(x, y).then((met) => this.listener.onClick(met)));
  };
}

function sizeOf({ clientWidth, clientHeight }: HTMLElement): PictureSize {
  const density = Math.min(2, window.devicePixelRatio);
  return { width: Math.max(1, clientWidth), height: Math.max(1, clientHeight), density };
}

function eyeCamera(): PerspectiveCamera {
  const camera = new PerspectiveCamera(FIELD, 1, 1, 20_000);
  camera.up.set(0, 0, 1);
  return camera;
}
