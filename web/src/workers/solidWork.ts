import {
  boxOfMesh,
  checkSolids,
  lengthOfLayer,
  makeBodies,
  resolveDesign,
  Slicer,
  type Checked,
  type Layer,
  SolidBuilder,
  sharpEdges,
  spaceAt,
  applySpace,
  type Design,
  type Mesh,
  type Problem,
  type SolidBody,
  type SolidGroup,
  type SolidLayout,
  type SolidPart,
  type SpaceBox,
} from "@twin-petal/core";
import { Breather } from "./breather";
import { WEB_HOST } from "./webHost";

/** Between two looks for newer messages while solids are united, milliseconds. */
const LOOK_EVERY = 30;

/** Copies of a mesh that is known by its number. */
export interface ShownGroup extends Pick<SolidGroup, "matrices" | "copies" | "colors"> {
  readonly mesh: number;
}

/** A part's copies in space. */
export interface ShownPart extends Pick<SolidPart, "part" | "name" | "place" | "role"> {
  readonly groups: readonly ShownGroup[];
}

/** What is drawn while the hand moves: every copy by itself. */
export interface ShownLayout {
  readonly parts: readonly ShownPart[];
  /** Meshes that were not told before, by number. */
  readonly meshes: readonly { readonly number: number; readonly mesh: Mesh }[];
  readonly box: SpaceBox | null;
  readonly problems: readonly Problem[];
}

/** A body with the edges that are drawn on it. */
export interface ShownBody extends SolidBody {
  /** x, y and z of either end. */
  readonly edges: Float32Array;
}

/** One layer as it is laid. Millimetres. */
export interface LaidLayer extends Pick<Layer, "z" | "height" | "area"> {
  /** How much is laid. */
  readonly length: number;
  /** x, y and z of either end of every line. */
  readonly lines: Float32Array;
}

/** What is drawn when the hand rests. */
export interface ShownModel {
  readonly bodies: readonly ShownBody[];
  readonly problems: readonly Problem[];
}

/** What was united last, for checks and layers. */
interface Made {
  readonly layout: SolidLayout;
  readonly bodies: readonly SolidBody[];
  readonly whole: Mesh;
}

/** Computes solids in a worker of their own. */
export class SolidWork {
  private readonly builder = new SolidBuilder(WEB_HOST);
  private readonly breather = new Breather(LOOK_EVERY);
  private readonly numbers = new WeakMap<Mesh, number>();
  private made: Made | null = null;
  private slicer: Slicer | null = null;
  private last = 0;
  private turn = 0;

  /** Every copy where it stands; meshes are told once and then go by their number. */
  async layOut(design: Design, tolerance: number): Promise<ShownLayout> {
    const layout = await this.builder.layOut(design, tolerance);
    const meshes: { number: number; mesh: Mesh }[] = [];
    const numberOf = (mesh: Mesh) => {
      const known = this.numbers.get(mesh);
      if (known !== undefined) return known;
      this.last += 1;
      this.numbers.set(mesh, this.last);
      meshes.push({ number: this.last, mesh });
      return this.last;
    };
    const parts = layout.parts.map(({ part, name, place, role, groups }) => ({
      part,
      name,
      place,
      role,
      groups: groups.map(({ mesh, matrices, copies, colors }) => ({ mesh: numberOf(mesh), matrices, copies, colors })),
    }));
    return { parts, meshes, box: boxOfLayout(layout), problems: layout.problems };
  }

  /** Everything that is looked at before what was last united is made; null where nothing was. */
  check(design: Design): readonly Checked[] | null {
    return this.made && checkSolids(this.made, this.made.layout, resolveDesign(design).making.solid);
  }

  /** Begins to slice what was last united; answers how many layers it has. */
  openLayers(design: Design): number {
    this.slicer = this.made ? new Slicer([this.made.whole], resolveDesign(design).making.solid, true) : null;
    return this.slicer?.places.length ?? 0;
  }

  /** What is laid in one layer, as lines; null where there is none such. */
  layer(index: number): LaidLayer | null {
    if (!this.slicer || index < 0 || index >= this.slicer.places.length) return null;
    const layer = this.slicer.layer(index);
    return laidLayer(layer, lengthOfLayer(layer));
  }

  /** How much is laid in all layers, millimetres; null when it was given up. `onShare` is told how far it is, 0…1. */
  async lengthOfAll(onShare: (share: number) => void): Promise<number | null> {
    const { slicer } = this;
    let length = 0;
    for (let index = 0; slicer && index < slicer.places.length; index++) {
      length += lengthOfLayer(slicer.layer(index));
      if (!this.breather.isDue()) continue;
      onShare(index / slicer.places.length);
      await this.breather.breathe();
      if (slicer !== this.slicer) return null;
    }
    return slicer ? length : null;
  }

  /** Gives up whatever is being united. */
  stop(): void {
    this.turn += 1;
  }

  /**
   * Everything united and cut; null when it was stopped. `onShare` is told how much is done, 0…1. What is united
   * `asOne` can be checked and sliced.
   */
  async unite(
    design: Design,
    tolerance: number,
    asOne: boolean,
    onShare: (share: number) => void,
  ): Promise<ShownModel | null> {
    this.turn += 1;
    const { turn } = this;
    const breathe = async (share: number) => {
      if (!this.breather.isDue()) return;
      onShare(share);
      await this.breather.breathe();
      if (turn !== this.turn) throw new Stopped();
    };
    try {
      this.made = null;
      const layout = await this.builder.layOut(design, tolerance);
      const { bodies, whole, problems } = await makeBodies(layout, breathe, asOne);
      // What is shown is copied: checks and layers are made of what stays here.
      this.made = whole && problems.length === 0 ? { layout, bodies, whole } : null;
      return { bodies: bodies.map((body) => ({ ...body, edges: sharpEdges(body.mesh) })), problems };
    } catch (error) {
      if (error instanceof Stopped) return null;
      throw error;
    }
  }
}

class Stopped extends Error {}

function laidLayer({ z, height, area, walls, filling }: Layer, length: number): LaidLayer {
  const lines: number[] = [];
  for (const ring of walls) {
    ring.forEach(([x, y], index) => {
      const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
      lines.push(x, y, z, nextX, nextY, z);
    });
  }
  for (let k = 0; k + 3 < filling.length; k += 4) {
    lines.push(filling[k] ?? 0, filling[k + 1] ?? 0, z, filling[k + 2] ?? 0, filling[k + 3] ?? 0, z);
  }
  return { z, height, area, length, lines: Float32Array.from(lines) };
}

/** The box around every copy, by the corners of its mesh's own box. */
function boxOfLayout({ parts }: SolidLayout): SpaceBox | null {
  const min: [number, number, number] = [Infinity, Infinity, Infinity];
  const max: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (const { mesh, matrices, copies } of parts.flatMap(({ groups }) => groups)) {
    const box = boxOfMesh(mesh);
    if (!box) continue;
    copies.forEach((_, index) => {
      const at = spaceAt(matrices, index);
      for (let corner = 0; corner < 8; corner++) {
        const side = (axis: 0 | 1 | 2) => ((corner >> axis) & 1 ? box.max : box.min)[axis];
        const { x, y, z } = applySpace(at, { x: side(0), y: side(1), z: side(2) });
        [x, y, z].forEach((value, axis) => {
          min[axis] = Math.min(min[axis] ?? value, value);
          max[axis] = Math.max(max[axis] ?? value, value);
        });
      }
    });
  }
  return min[0] > max[0] ? null : { min, max };
}
