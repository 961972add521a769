import { at } from "../geometry/at";
import { withArena, type Arena } from "../form/arena";
import type { Mesh } from "../form/mesh";
import { areaOf, inset, within, type Rings } from "../form/area";
import { levelsOf } from "./levelFaces";
import { rowsWithin } from "./rows";
import { Sections } from "./sections";

/** How solids are laid in layers. Millimetres; `filling` is the share of the inside that is filled. */
export interface LayerSettings {
  /** The height of a layer at most. */
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
  /** How high it is: layers end where the solid has a level face. */
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

/** A layer is at least this share of the highest: what two level faces have between them that is lower belongs to one of its neighbours. */
const LEAST_LAYER = 1 / 8;

/**
 * Where a solid is sliced, from the bed up: the middle of each layer, and how high it is. From each level face to the next all
 * are of one height, as few as can be; so what is laid has the volume of the solid, wherever its steps are.
 */
function layersBetween(levels: readonly number[], layer: number): Pick<Layer, "z" | "height">[] {
  return levels.flatMap((top, index) => {
    const from = levels[index - 1] ?? 0;
    const count = Math.max(1, Math.ceil((top - from) / layer - 1e-6));
    const height = (top - from) / count;
    return Array.from({ length: count }, (_, k) => ({ z: from + (k + 0.5) * height, height }));
  });
}

/** A solid that can be sliced at any layer: closed surfaces, which may touch or lie in each other. The solid engine must have been loaded. */
export class Slicer {
  /** Where each layer is, from the bed up. */
  readonly places: readonly Pick<Layer, "z" | "height">[];
  private readonly solids: readonly Sections[];
  /** What was laid last for each of the two angles: upright walls have many layers alike. */
  private readonly laid = new Map<number, { readonly outlines: Rings; readonly laid: Laid }>();

  /** `isUnited` where it is one surface none of whose pieces lies in another: nothing is to be united in its layers then. */
  constructor(
    meshes: readonly Mesh[],
    private readonly settings: LayerSettings,
    private readonly isUnited = false,
  ) {
    this.places = layersBetween(levelsOf(meshes, settings.layer * LEAST_LAYER), settings.layer);
    this.solids = meshes.map((mesh) => new Sections(mesh));
  }

  /** What is laid in one layer, counted from 0 at the bed. Throws where there is none such. */
  layer(index: number): Layer {
    const place = at(this.places, index);
    return withArena((arena) => {
      const rings = this.solids.flatMap((solid) => solid.at(place.z));
      const outlines = this.isUnited ? rings : within(rings, "Positive", arena).toPolygons();
      return { ...place, area: areaOf(outlines), outlines, ...this.laidIn(outlines, index, arena) };
    });
  }

  private laidIn(outlines: Rings, index: number, arena: Arena): Laid {
    const known = this.laid.get(index % 2);
    if (known && isSameRings(known.outlines, outlines)) return known.laid;
    const laid = laidWithin(outlines, index, this.settings, arena);
    this.laid.set(index % 2, { outlines, laid });
    return laid;
  }
}

/** A united surface's layers one by one, from the bed up, so that whoever asks can stop between them. */
export function* layersOf(mesh: Mesh, settings: LayerSettings): Generator<Layer> {
  const slicer = new Slicer([mesh], settings, true);
  for (let index = 0; index < slicer.places.length; index++) yield slicer.layer(index);
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

function laidWithin(outlines: Rings, index: number, { walls, filling, lineWidth }: LayerSettings, arena: Arena): Laid {
  if (walls === 0 && filling === 0) return { walls: [], filling: new Float64Array() };
  const plain = arena.keep(within(outlines, "Positive", arena).simplify(WALL_TOLERANCE / 2));
  const inward = (by: number) => inset(plain, by, WALL_TOLERANCE, arena);
  const lines = Array.from({ length: walls }, (_, k) => inward((k + 0.5) * lineWidth).toPolygons());
  const inside = filling > 0 ? inward(walls * lineWidth).toPolygons() : [];
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
