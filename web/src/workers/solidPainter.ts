import { createElement } from "react";
import { createRoot, extend, type ReconcilerRoot, type RootState } from "@react-three/fiber";
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  InstancedMesh,
  LineBasicMaterial,
  LineSegments,
  Mesh as DrawnMesh,
  MeshLambertMaterial,
  Points,
  PointsMaterial,
  Raycaster,
  Vector2,
} from "three";
import type { Mesh } from "@twin-petal/core";
import type { Look } from "@/solid/eye";
import { FIELD } from "@/solid/outlooks";
import { metBy } from "@/solid/picture/met";
import { NO_CONTENT, type Met, type SolidContent } from "@/solid/picture/content";
import { Pictured } from "@/solid/picture/pictured";
import { Breather } from "./breather";

/** The canvas's size, and how many of its pixels a pixel of the page is. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
  readonly density: number;
}

/** What changes in a picture; what is left out stays. Of meshes only those the painter has not been told yet. */
export type SolidChange = Partial<SolidContent>;

const LOOK_EVERY = 16;
/** A picture that takes longer than this is drawn coarser while the hand moves, milliseconds. */
const SLOW = 80;
/** The hand rests when nothing is asked for so long, milliseconds. */
const REST = 250;
/** The share of its pixels a coarser picture has, across and down. */
const COARSE = 0.5;

// What pictures are made of.
extend({ AmbientLight, DirectionalLight, BufferAttribute, BufferGeometry, Mesh: DrawnMesh, InstancedMesh });
extend({ LineSegments, LineBasicMaterial, MeshLambertMaterial, Points, PointsMaterial });

/** Draws solids, apart from the page: drawing them without a graphics card would hold up everything else. */
export class SolidPainter {
  private root: ReconcilerRoot<OffscreenCanvas> | null = null;
  private state: RootState | null = null;
  private content = NO_CONTENT;
  private look: Look = { from: [200, -400, 300], to: [0, 0, 0] };
  private readonly breather = new Breather(LOOK_EVERY);
  private drawing: Promise<void> | null = null;
  private onDrawn: ((look: Look) => void) | null = null;
  private density = 1;
  /** How long the last picture took with all its pixels, milliseconds. */
  private took = 0;
  private asked = -Infinity;
  private rest: ReturnType<typeof setTimeout> | undefined;

  /** Takes the canvas; `onDrawn` is told after every picture from where it is seen. */
  async attach(canvas: OffscreenCanvas, size: PictureSize, onDrawn: (look: Look) => void): Promise<void> {
    this.onDrawn = onDrawn;
    this.density = size.density;
    const root = createRoot(canvas);
    await root.configure({
      frameloop: "never",
      flat: true,
      gl: { antialias: true, localClippingEnabled: true, powerPreference: "low-power" },
      camera: { fov: FIELD, near: 1, far: 20_000, up: [0, 0, 1], position: [...this.look.from] },
      size: { width: size.width, height: size.height, top: 0, left: 0 },
      dpr: size.density,
    });
    this.root = root;
    await this.draw();
  }

  /** Draws at another size. */
  resize({ width, height, density }: PictureSize): Promise<void> {
    this.density = density;
    this.state?.setSize(width, height);
    return this.draw();
  }

  /** Draws from another place; resolves when a picture from there, or a later one, is drawn. */
  lookFrom(look: Look): Promise<void> {
    this.look = look;
    return this.draw();
  }

  /** Draws a change; resolves when a picture with it is drawn. */
  show(change: SolidChange): Promise<void> {
    const meshes = withKnown(this.content, change);
    this.content = { ...this.content, ...change, meshes };
    return this.draw();
  }

  /** What is seen at a place of the picture, from −1 to 1 across and up. */
  pick(x: number, y: number): Met | null {
    if (!this.state) return null;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2(x, y), this.state.camera);
    return metBy(ray, this.state.scene);
  }

  /** One picture for all that is asked meanwhile. */
  private draw(): Promise<void> {
    const isMoving = performance.now() - this.asked < REST;
    this.asked = performance.now();
    this.drawing ??= this.breather.breathe().then(() => {
      this.drawing = null;
      return this.drawNow(isMoving && this.took > SLOW);
    });
    return this.drawing;
  }

  private async drawNow(coarse: boolean): Promise<void> {
    const { root, content, look } = this;
    if (!root) return;
    this.state = await laidOut(root, content);
    const { camera, advance, gl, viewport, setDpr } = this.state;
    const density = coarse ? this.density * COARSE : this.density;
    if (density !== viewport.dpr) setDpr(density);
    camera.position.set(...look.from);
    camera.lookAt(...look.to);
    camera.updateMatrixWorld();
    const began = performance.now();
    advance(began);
    // Pictures are waited for here: they would queue up elsewhere, and the hand would be followed late.
    gl.getContext().finish();
    if (!coarse) this.took = performance.now() - began;
    clearTimeout(this.rest);
    if (coarse) this.rest = setTimeout(() => void this.drawNow(false), REST);
    this.onDrawn?.(look);
  }
}

/** Lays out the scene; resolves with what draws it once everything is in it. */
function laidOut(root: ReconcilerRoot<OffscreenCanvas>, content: SolidContent): Promise<RootState> {
  return new Promise((resolve) => root.render(createElement(Pictured, { ...content, onLaidOut: resolve })));
}

/** The meshes that are used, those known before and the new ones: the same ones stay the same, and are not laid out anew. */
function withKnown(known: SolidContent, { groups = known.groups, meshes }: SolidChange): ReadonlyMap<number, Mesh> {
  const used = new Set(groups.map(({ group }) => group.mesh));
  return new Map([...known.meshes, ...(meshes ?? [])].filter(([number]) => used.has(number)));
}
