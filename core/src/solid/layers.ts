import type { CrossSection, Manifold } from "manifold-3d";
import { at } from "../geometry/at";
import { withArena, type Arena } from "../form/arena";
import { engineSolid } from "../form/engineMesh";
import { boxOfMesh, type Mesh } from "../form/mesh";
import { areaOf, inset, type Rings } from "../form/area";
import { rowsWithin } from "./rows";

/** How solids are laid in layers. Millimetres; `filling` is the share of the inside that is filled. */
export interface LayerSettings {
  /** The height of a layer. */
  readonly layer: number;
  /** Lines laid along every outline. */
  readonly walls: number;
  /** 0…1 */
  readonly filling: number;
  /** How wide a laid line is. */
  readonly lineWidth: number;
}

/** What is laid of one body in one layer. Millimetres. */
export interface Layer {
  /** The middle of its height. */
  readonly z: number;
  /** How high it is; the last one may be lower than the others. */
  readonly height: number;
  /** Square millimetres. */
  readonly area: number;
  /** What it is bounded by: outer outlines anticlockwise, holes clockwise. */
  readonly outlines: Rings;
  /** Lines along the outlines, closed. */
  readonly walls: Rings;
  /** Lines of the filling, x and y of either end, one after the other. */
  readonly filling: Float64Array;
}

/** Rows of the filling run at this angle in every other layer, and across it in those between. Degrees. */
const FILLING_ANGLE = 45;
/** Curves of walls are chords within this, millimetres. */
const WALL_TOLERANCE = 0.02;

/** Where a solid is sliced, from the bed up: the middle of each layer, and how high it is. */
export function layersTo(top: number, layer: number): Pick<Layer, "z" | "height">[] {
  const count = Math.max(0, Math.ceil(top / layer - 1e-6));
  return Array.from({ length: count }, (_, k) => {
    const height = Math.min(top, (k + 1) * layer) - k * layer;
    return { z: k * layer + height / 2, height };
  });
}

/** A solid that can be sliced at any layer. The solid engine must have been loaded; `end` gives its memory back. */
export class Slicer {
  /** Where each layer is, from the bed up. */
  readonly places: readonly Pick<Layer, "z" | "height">[];
  private readonly solid: Manifold;
  /** What was laid last for each of the two angles: upright walls have many layers alike. */
  private readonly laid = new Map<number, { readonly outlines: Rings; readonly laid: Laid }>();

  constructor(
    mesh: Mesh,
    private readonly settings: LayerSettings,
  ) {
    this.places = layersTo(boxOfMesh(mesh)?.max[2] ?? 0, settings.layer);
    this.solid = engineSolid(mesh);
  }

  /** What is laid in one layer, counted from 0 at the bed. Throws where there is none such. */
  layer(index: number): Layer {
    const place = at(this.places, index);
    return withArena((arena) => {
      const section = arena.keep(this.solid.slice(place.z));
      const outlines = section.toPolygons();
      return { ...place, area: areaOf(outlines), outlines, ...this.laidIn(section, outlines, index, arena) };
    });
  }

  private laidIn(section: CrossSection, outlines: Rings, index: number, arena: Arena): Laid {
    const known = this.laid.get(index % 2);
    if (known && isSameRings(known.outlines, outlines)) return known.laid;
    const laid = laidWithin(section, index, this.settings, arena);
    this.laid.set(index % 2, { outlines, laid });
    return laid;
  }

  end(): void {
    this.solid.delete();
  }
}

/** A mesh's layers one by one, from the bed up, so that whoever asks can stop between them. */
export function* layersOf(mesh: Mesh, settings: LayerSettings): Generator<Layer> {
  const slicer = new Slicer(mesh, settings);
  try {
    for (let index = 0; index < slicer.places.length; index++) yield slicer.layer(index);
  } finally {
    slicer.end();
  }
}

type Laid = Pick<Layer, "walls" | "filling">;

/** Outlines that differ by less than this are the same, millimetres. */
const SAME = 1e-5;

function isSameRings(a: Rings, b: Rings): boolean {
  return (
    a.length === b.length &&
    a.every((ring, number) => {
      const other = b[number] ?? [];
      return (
        ring.length === other.length &&
        ring.every(([x, y], index) => {
          const [otherX = NaN, otherY = NaN] = other[index] ?? [];
          return Math.abs(x - otherX) < SAME && Math.abs(y - otherY) < SAME;
        })
      );
    })
  );
}

function laidWithin(
  section: CrossSection,
  index: number,
  { walls, filling, lineWidth }: LayerSettings,
  arena: Arena,
): Laid {
  if (walls === 0 && filling === 0) return { walls: [], filling: new Float64Array() };
  const plain = arena.keep(section.simplify(WALL_TOLERANCE / 2));
  const within = (by: number) => inset(plain, by, WALL_TOLERANCE, arena);
  const lines = Array.from({ length: walls }, (_, k) => within((k + 0.5) * lineWidth).toPolygons());
  const inside = filling > 0 ? within(walls * lineWidth).toPolygons() : [];
  const angle = index % 2 === 0 ? FILLING_ANGLE : FILLING_ANGLE + 90;
  return { walls: lines.flat(), filling: rowsWithin(inside, angle, lineWidth / Math.max(filling, 1e-6)) };
}

/** How much is laid in a layer, millimetres. */
export function lengthOfLayer({ walls, filling }: Layer): number {
  const around = walls.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((length, [x, y], index) => {
        const [nextX, nextY] = ring[(index + 1) % ring.length] ?? [x, y];
        return length + Math.hypot(nextX - x, nextY - y);
      }, 0),
    0,
  );
  let rows = 0;
  for (let k = 0; k + 3 < filling.length; k += 4) {
    rows += Math.hypot((filling[k + 2] ?? 0) - (filling[k] ?? 0), (filling[k + 3] ?? 0) - (filling[k + 1] ?? 0));
  }
  return around + rows;
}
