import type { Design } from "../design/design";
import type { Problem } from "../formula/problem";
import { MOST_MAKING_SECONDS } from "../fields/most";
import type { Mesh } from "../form/mesh";
import { REST, type ResolvedSolid } from "../form/solidFields";
import { colorAt } from "../finish/paint";
import { spaceAt, spaceStretch, SPACE_STRIDE } from "../geometry/space";
import type { Placements } from "../rules/placements";
import { TooMuchEffort, withEffort } from "../geometry/effort";
import { addTo } from "../geometry/keyedLists";
import { Incomputable } from "../formula/incomputable";
import { asMembers, type MadePart } from "../scene/asMembers";
import { inWords } from "../scene/tooMuch";
import type { PartGeometry, PartScene, Scene } from "../scene/scene";
import { areaPieces } from "./areaPieces";
import { formMeshes, type ColoredMesh } from "./formMeshes";
import { lowestOf } from "./lowest";
import { solidCopies, type SolidCopies } from "./solidCopies";
import { lifted, spacePlacements } from "./spacePlacements";

/** Copies of one mesh, as the solid view draws them and as they are united. */
export interface SolidGroup {
  /** Its surface, in the motif's own space. */
  readonly mesh: Mesh;
  /** Where each stands: twelve numbers (`SpaceMatrix`). */
  readonly matrices: Float64Array;
  /** Each one's number among the part's copies. */
  readonly copies: Uint32Array;
  /** Each one's colour, `#RRGGBB`. */
  readonly colors: readonly string[];
}

/** A part's copies standing in space, each by itself. */
export interface SolidPart {
  /** Its own name among all that stands: the part's id, with that of the part it repeats whole where it is made as that is. */
  readonly id: string;
  /** The part's id. */
  readonly part: string;
  /** What the designer calls it. */
  readonly name: string;
  /** Its number in the design, the lowest first. */
  readonly place: number;
  /** Whether it is made or taken away. */
  readonly role: ResolvedSolid["role"];
  /** Parts that are taken away from it, by id. */
  readonly cutBy: readonly string[];
  /** Its copies by the mesh they have. */
  readonly groups: readonly SolidGroup[];
}

/** A design's solids, before they are united. */
export interface SolidLayout {
  /** The lowest first. */
  readonly parts: readonly SolidPart[];
  /** What could not be given height, and where. */
  readonly problems: readonly Problem[];
}

/** Whether some part of a design is given height. */
export function hasSolids(design: Design): boolean {
  return design.parts.some(({ solid }) => solid !== null);
}

/** The design as its solids are made of: what a cutter takes it takes from solids, not from outlines. */
export function designForSolids(design: Design): Design {
  const cutters = new Set(design.parts.flatMap(({ id, solid }) => (solid?.role === "cutter" ? [id] : [])));
  if (cutters.size === 0) return design;
  const parts = design.parts.map((part) => {
    const cutBy = part.join.cutBy.filter((id) => !cutters.has(id));
    return cutBy.length === part.join.cutBy.length ? part : { ...part, join: { ...part.join, cutBy } };
  });
  return { ...design, parts };
}

interface Remembered {
  readonly key: string;
  readonly geometry: PartGeometry;
  readonly copies: SolidCopies;
  readonly meshes: readonly (readonly ColoredMesh[])[];
}

/**
 * Gives a design's parts height and remembers their meshes, so that new colours and new places of copies make none
 * again. The scene is that of `designForSolids`; the solid engine must have been loaded.
 */
export class SolidLayouter {
  private known = new Map<string, Remembered>();
  private last = new Map<string, SolidPart>();

  /** `tolerance` is how far straight pieces may leave curves, millimetres. A part that cannot stand stays as it last was. */
  layOut(design: Design, scene: Scene, tolerance: number): SolidLayout {
    return withEffort(MOST_MAKING_SECONDS, () => this.layOutInTime(design, scene, tolerance)).result;
  }

  private layOutInTime(design: Design, scene: Scene, tolerance: number): SolidLayout {
    const problems: Problem[] = [];
    const next = new Map<string, Remembered>();
    const cutByOf = new Map(design.parts.map(({ id, join }) => [id, join.cutBy]));
    const standing = standingParts(scene).flatMap(({ id, part, member }): Standing[] => {
      const place = design.parts.findIndex((one) => one.id === part.id);
      try {
        const made = this.meshesOf(id, part, tolerance);
        next.set(id, made);
        // What cuts a part that is repeated whole is repeated with it, if it is one of those too.
        const within = member === null ? [] : (cutByOf.get(member) ?? []).flatMap((by) => [by, `${part.id}/${by}`]);
        return [{ id, part, place, cutBy: [...(cutByOf.get(part.id) ?? []), ...within], made }];
      } catch (error) {
        problems.push(problemOf(part, place, troubleStanding(error)));
        return [];
      }
    });
    this.known = next;
    const parts = inSpace(standing);
    // What cannot stand any more is shown as it last stood.
    const kept = problems.flatMap(({ path }) => {
      const id = design.parts[Number(/\d+/.exec(path)?.[0] ?? -1)]?.id;
      return [...this.last.values()].filter(({ part }) => part === id);
    });
    this.last = new Map([...parts, ...kept].map((part) => [part.id, part]));
    return { parts: [...parts, ...kept].sort((a, b) => a.place - b.place), problems };
  }

  private meshesOf(id: string, { geometry, finish, solid }: StandingPart, tolerance: number): Remembered {
    const { fill, line } = finish;
    const lineShape = line && { ...line, paint: null };
    const { tilt: _tilt, stand: _stand, lift: _lift, ...form } = solid;
    const before = this.known.get(id);
    const copies = before?.geometry === geometry ? before.copies : solidCopies(geometry);
    // Chords lie within round outlines only: half the way keeps volumes nearer.
    const own = tolerance / 2 / largestOf(copies.placements, solid);
    const key = JSON.stringify([form, fill !== null, lineShape, own]);
    const isSame = before?.key === key && sameShapes(before.copies, copies);
    if (isSame) return { ...before, geometry, copies };
    const meshes = copies.shapes.map((shape) => formMeshes(areaPieces(shape, finish), solid, own));
    return { key, geometry, copies, meshes };
  }
}

function sameShapes(a: SolidCopies, b: SolidCopies): boolean {
  return a.shapes.length === b.shapes.length && a.shapes.every((shape, index) => shape === b.shapes[index]);
}

type StandingPart = PartScene & { readonly solid: ResolvedSolid };

interface Standing {
  readonly id: string;
  readonly part: StandingPart;
  readonly place: number;
  readonly cutBy: readonly string[];
  readonly made: Remembered;
}

/** Parts that are made, those that are repeated whole as they stand themselves, and cutters, which may be tools. */
function standingParts(scene: Scene) {
  const made = new Map<string, MadePart[]>();
  for (const one of asMembers(scene, ({ solid }) => solid !== null)) addTo(made, one.part.id, one);
  return scene.parts.flatMap((own) => {
    const isTool = own.role === "tool" && own.solid?.role === "cutter";
    const parts: readonly MadePart[] = isTool ? [{ part: own, member: null }] : (made.get(own.id) ?? []);
    return parts.flatMap(({ part, member }) => {
      const id = member === null ? part.id : `${part.id}/${member}`;
      return isStanding(part) ? [{ id, part, member }] : [];
    });
  });
}

const isStanding = (part: PartScene): part is StandingPart => part.solid !== null;

/** Why a part does not stand, in words; anything else is thrown on. */
function troubleStanding(error: unknown): Pick<Incomputable, "field" | "message"> {
  if (error instanceof Incomputable) return error;
  if (!(error instanceof TooMuchEffort)) throw error;
  const takes = `takes about ${inWords(error.seconds)} or more to stand up, for its surface has so many corners`;
  return {
    field: "",
    message: `${takes}; there are ${MOST_MAKING_SECONDS} seconds for a design's solids: make the tolerance coarser, or twist it less`,
  };
}

function problemOf(
  part: PartScene,
  place: number,
  { field, message }: Pick<Incomputable, "field" | "message">,
): Problem {
  return { path: `parts[${place}].solid${field === "" ? "" : `.${field}`}`, message: `${part.name} ${message}` };
}

/** How much the copies of a part are larger than its motif, in whole steps of a fifth, so that meshes are kept. */
function largestOf(placements: Placements, solid: ResolvedSolid): number {
  const flat = spacePlacements(placements, solid, [1, 0, 0, 1, 0, 0]);
  let largest = 1e-6;
  for (let copy = 0; copy < placements.count; copy++) largest = Math.max(largest, spaceStretch(spaceAt(flat, copy)));
  return 1.2 ** Math.ceil(Math.log(largest) / Math.log(1.2) - 1e-9);
}

/** Every part's copies where they stand. What rests is let down, all of it together, until its lowest point is on the bed. */
function inSpace(standing: readonly Standing[]): SolidPart[] {
  const placed = standing.map((one) => ({
    ...one,
    flat: spacePlacements(one.made.copies.placements, one.part.solid, one.part.geometry.at),
  }));
  const resting = placed.filter(({ part }) => part.solid.lift === REST);
  const bodies = resting.filter(({ part }) => part.solid.role === "body");
  const lowest = Math.min(
    ...(bodies.length > 0 ? bodies : resting).map(({ made, flat }) =>
      lowestOf(made.copies.placements, made.meshes, flat),
    ),
  );
  return placed.map(({ id, part, place, cutBy, made, flat }) => {
    const { lift, role } = part.solid;
    const by = lift === REST ? (Number.isFinite(lowest) ? -lowest : 0) : lift;
    return { id, part: part.id, name: part.name, place, role, cutBy, groups: groupsOf(part, made, lifted(flat, by)) };
  });
}

/** What a solid without a paint is shown in. */
const UNPAINTED = "#8D93A1";

function groupsOf({ finish }: PartScene, { copies, meshes }: Remembered, flat: Float64Array): SolidGroup[] {
  const { placements } = copies;
  const paint = finish.fill ?? finish.line?.paint ?? null;
  const colorOf = paint ? colorAt(paint, placements) : () => UNPAINTED;
  return meshes.flatMap((colored, shape) => {
    const own = Array.from({ length: placements.count }, (_, copy) => copy).filter(
      (copy) => (placements.shapeOf?.[copy] ?? 0) === shape,
    );
    if (own.length === 0) return [];
    const matrices = new Float64Array(own.length * SPACE_STRIDE);
    own.forEach((copy, index) =>
      matrices.set(flat.subarray(copy * SPACE_STRIDE, (copy + 1) * SPACE_STRIDE), index * SPACE_STRIDE),
    );
    return colored.map(({ color, mesh }) => ({
      mesh,
      matrices,
      copies: Uint32Array.from(own),
      colors: own.map((copy) => color ?? colorOf(copy).slice(0, 7)),
    }));
  });
}
