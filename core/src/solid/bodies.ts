import type { Manifold } from "manifold-3d";
import { solidEngine } from "../engines/solidEngine";
import { withArenaForLong, type Arena } from "../form/arena";
import { engineSolid, meshOf } from "../form/engineMesh";
import { countTriangles, type Mesh } from "../form/mesh";
import { holesOfMesh } from "../form/meshPieces";
import { tidyMesh } from "../form/tidyMesh";
import type { Problem } from "../formula/problem";
import { spaceAt } from "../geometry/space";
import type { SolidGroup, SolidLayout, SolidPart } from "./layout";
import { moved } from "./moved";
import { boxesTouch, unitedSolids, type Breath } from "./uniting";

/** Everything of one colour, united. */
export interface SolidBody {
  /** `#RRGGBB` */
  readonly color: string;
  /** Its surface, on the bed. Millimetres. */
  readonly mesh: Mesh;
  /** Cubic millimetres. */
  readonly volume: number;
  /** Square millimetres. */
  readonly area: number;
  /** How many holes go through, as topology counts them; of several pieces, together. */
  readonly genus: number;
  /** In how many pieces it is. */
  readonly pieces: number;
}

/** A design's solids, united by colour and cut. */
export interface SolidModel {
  /** One a colour, the lowest part's first. */
  readonly bodies: readonly SolidBody[];
  /** All of it as one closed surface, whatever its colours; null where that was not asked for, or nothing stands. */
  readonly whole: Mesh | null;
  /** What could not be made, and where. */
  readonly problems: readonly Problem[];
}

/** Triangles of all copies together that are united. */
export const MOST_UNITED_TRIANGLES = 3_000_000;

/** A colour of a part, on its way. */
interface Colored {
  readonly part: SolidPart;
  readonly color: string;
  readonly solid: Manifold;
}

/**
 * Unites a layout exactly: copies of one colour are one body, what overlaps in two colours belongs to what lies above,
 * cutters are taken from the parts below them or from those that name them. The solid engine must have been loaded.
 * `breathe` is told the share that is done and may stop the work by rejecting. `asOne` asks for all colours together too.
 */
export async function makeBodies(layout: SolidLayout, breathe: Breath, asOne = false): Promise<SolidModel> {
  const tooMany = tooManyTriangles(layout);
  if (tooMany) return { bodies: [], whole: null, problems: [...layout.problems, tooMany] };
  return withArenaForLong(async (arena) => {
    const { colored, problems } = await cutParts(layout, arena, within(breathe, 0, 0.6));
    const owned = await ownedFromAbove(colored, arena, within(breathe, 0.6, 0.7));
    const bodies = await byColor(owned, arena, within(breathe, 0.7, 0.8));
    const whole = asOne ? await wholeOf(bodies, colored, arena, within(breathe, 0.8, 1)) : null;
    return { bodies, whole, problems: [...layout.problems, ...problems] };
  });
}

/** A stretch of the whole way, told as shares of the whole. */
function within(breathe: Breath, from: number, to: number): Breath {
  return (share) => breathe(from + (to - from) * share);
}

/** All colours together: of what they were before one took from the other, so that no faces coincide. */
async function wholeOf(
  bodies: readonly SolidBody[],
  colored: readonly Colored[],
  arena: Arena,
  breathe: Breath,
): Promise<Mesh | null> {
  const [only] = bodies;
  if (!only || bodies.length === 1) return only?.mesh ?? null;
  const solids = colored.map(({ solid }) => solid);
  return tidyMesh(meshOf(await unitedSolids(solids, arena, breathe))).mesh;
}

/** Why so many triangles are not united, told at the part that has most; null where they are few enough. */
export function tooManyTriangles({ parts }: SolidLayout): Problem | null {
  const sizes = parts.map((part) => ({ part, count: trianglesOf(part) }));
  const all = sizes.reduce((sum, { count }) => sum + count, 0);
  if (all <= MOST_UNITED_TRIANGLES) return null;
  const largest = sizes.reduce((most, one) => (one.count > most.count ? one : most));
  const words = `${largest.part.name} makes the solids ${all.toLocaleString("en")} triangles; at most ${MOST_UNITED_TRIANGLES.toLocaleString("en")} are united: lower its count or make the tolerance coarser`;
  return { path: `parts[${largest.part.place}].solid`, message: words };
}

/** The triangles of all a part's copies. */
export function trianglesOf({ groups }: SolidPart): number {
  return groups.reduce((sum, { mesh, copies }) => sum + countTriangles(mesh) * copies.length, 0);
}

async function cutParts(layout: SolidLayout, arena: Arena, breathe: Breath) {
  const { parts } = layout;
  const cutters = parts.filter(({ role }) => role === "cutter");
  const bodies = parts.filter(({ role }) => role === "body");
  const sizes = [...cutters, ...bodies].map((part) => Math.max(1, copiesOf(part)));
  const all = sizes.reduce((sum, size) => sum + size, 0);
  let done = 0;
  const unitedPart = async (part: SolidPart) => {
    const before = done;
    const size = Math.max(1, copiesOf(part));
    const colored = await coloredOf(part, arena, (share) => breathe((before + share * size) / all));
    done += size;
    await breathe(done / all);
    return colored;
  };
  const taken = new Map<string, Manifold[]>();
  for (const cutter of cutters)
    taken.set(
      cutter.id,
      (await unitedPart(cutter)).map(({ solid }) => solid),
    );
  const colored: Colored[] = [];
  const problems: Problem[] = [];
  for (const body of bodies) {
    const own = cuttersOf(body, cutters, bodies).flatMap(({ id }) => taken.get(id) ?? []);
    const whole = await unitedPart(body);
    const left = whole.map((one) => ({ ...one, solid: without(one.solid, own, arena) }));
    const some = left.filter(({ solid }) => !solid.isEmpty());
    if (whole.length > 0 && some.length === 0) {
      problems.push({
        path: `parts[${body.place}].solid`,
        message: `${body.name} is taken away whole by what cuts it; move or shrink the cutter`,
      });
    }
    colored.push(...some);
  }
  return { colored, problems };
}

const copiesOf = ({ groups }: SolidPart) => groups.reduce((sum, { copies }) => sum + copies.length, 0);

/** A cutter that some part names cuts only those that name it, another all parts below it. */
function cuttersOf(body: SolidPart, cutters: readonly SolidPart[], bodies: readonly SolidPart[]): SolidPart[] {
  return cutters.filter((cutter) => {
    const isNamed = bodies.some(({ cutBy }) => cutBy.includes(cutter.id));
    return isNamed ? body.cutBy.includes(cutter.id) : body.place < cutter.place;
  });
}

function without(solid: Manifold, taken: readonly Manifold[], arena: Arena): Manifold {
  const touching = taken.filter((one) => boxesTouch(solid, one));
  return touching.length === 0 ? solid : arena.keep(solidEngine().Manifold.difference([solid, ...touching]));
}

/** A part's copies united by colour, in the order in which colours first come. */
async function coloredOf(part: SolidPart, arena: Arena, breathe: Breath): Promise<Colored[]> {
  const byColor = new Map<string, Manifold[]>();
  for (const group of part.groups) standCopies(group, byColor, arena);
  const colored: Colored[] = [];
  let index = 0;
  for (const [color, solids] of byColor) {
    const solid = await unitedSolids(solids, arena, (share) => breathe((index + share) / byColor.size));
    colored.push({ part, color, solid });
    index++;
  }
  return colored;
}

function standCopies(
  { mesh, matrices, copies, colors }: SolidGroup,
  byColor: Map<string, Manifold[]>,
  arena: Arena,
): void {
  const form = arena.keep(engineSolid(mesh));
  copies.forEach((_, index) => {
    const color = colors[index] ?? "";
    const known = byColor.get(color) ?? [];
    known.push(arena.keep(moved(form, spaceAt(matrices, index))));
    byColor.set(color, known);
  });
}

/** What overlaps in two colours belongs to what lies above. */
async function ownedFromAbove(colored: readonly Colored[], arena: Arena, breathe: Breath): Promise<Colored[]> {
  const above: Colored[] = [];
  for (const one of [...colored].reverse()) {
    const others = above.filter(({ color }) => color !== one.color).map(({ solid }) => solid);
    above.push({ ...one, solid: without(one.solid, others, arena) });
    await breathe(above.length / colored.length);
  }
  return above.reverse().filter(({ solid }) => !solid.isEmpty());
}

async function byColor(colored: readonly Colored[], arena: Arena, breathe: Breath): Promise<SolidBody[]> {
  const colors = [...new Set(colored.map(({ color }) => color))];
  const bodies: SolidBody[] = [];
  for (const color of colors) {
    const own = colored.filter((one) => one.color === color).map(({ solid }) => solid);
    const solid = await unitedSolids(own, arena, (share) => breathe((bodies.length + share) / colors.length));
    bodies.push(bodyOf(color, solid));
  }
  return bodies.filter(({ pieces }) => pieces > 0);
}

/** What is told of a body is measured on the surface that is written and sliced, not on what the engine held before it. */
function bodyOf(color: string, solid: Manifold): SolidBody {
  const { mesh, pieces } = tidyMesh(meshOf(solid));
  const sum = (of: "volume" | "area") => pieces.reduce((all, piece) => all + piece[of], 0);
  return {
    color,
    mesh,
    volume: sum("volume"),
    area: sum("area"),
    genus: holesOfMesh(mesh, pieces.length),
    pieces: pieces.length,
  };
}
