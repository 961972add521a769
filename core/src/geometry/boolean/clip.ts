import type { MainModule, Paths64 } from "clipper2-wasm";
import { usingGeometryEngine } from "../../engines/geometryEngine";
import type { Facets } from "./facets";
import type { Loop } from "./loop";
import { loopsApart } from "./loopsApart";
import { backwards, roundOf } from "./oriented";
import { numbersOf } from "./wholeNumbers";
import type { ClipRule, Operation } from "./operation";
import { spendOnSweep } from "./sweepEffort";

const CLIP_TYPES = {
  union: "Union",
  difference: "Difference",
  intersection: "Intersection",
  exclusive: "Xor",
} as const;
const FILL_RULES = { nonzero: "NonZero", evenodd: "EvenOdd", positive: "Positive" } as const;

/**
 * Combines the first operand with each of the others in turn, on the grid. Where edges lie on each other, even-odd
 * leaves regions side by side that touch along them: these are united. Throws a TooMuchEffort.
 */
export function clip(
  { operands }: Pick<Facets, "operands">,
  operation: Operation,
  rule: ClipRule,
  touching = false,
): readonly Loop[] {
  spendOnSweep(operands.flat());
  const loops = withEngine((engine, own) => {
    const result = combined(engine, own, operands, operation, rule);
    return loopsOf(touching ? run(engine, own, result, own(new engine.Paths64()), "union", "nonzero") : result);
  });
  return loopsApart(loops);
}

function combined(
  engine: MainModule,
  own: Own,
  [subject = [], ...clips]: Facets["operands"],
  operation: Operation,
  rule: ClipRule,
): Paths64 {
  if (operation === "union" || operation === "difference" || clips.length < 2) {
    return run(engine, own, pack(engine, own, subject), together(engine, own, clips), operation, rule);
  }
  let result = pack(engine, own, subject);
  for (const polygons of clips) result = run(engine, own, result, pack(engine, own, polygons), operation, rule);
  return result;
}

/**
 * Several areas as one set of polygons. All must run the same way round: where a mirrored one lies over another, one
 * would undo the other.
 */
function together(engine: MainModule, own: Own, areas: readonly (readonly BigInt64Array[])[]): Paths64 {
  if (areas.length < 2) return pack(engine, own, areas.flat());
  const all = own(new engine.Paths64());
  for (const area of areas) addOriented(engine, own, all, area);
  return all;
}

/** Adds an area to a set, its outline run clockwise; what may cross itself or has holes is laid out by the engine first. */
function addOriented(engine: MainModule, own: Own, all: Paths64, area: readonly BigInt64Array[]): void {
  const [polygon] = area;
  const round = area.length === 1 && polygon ? roundOf(polygon) : 0;
  if (polygon && round !== 0) {
    add(engine, own, all, round > 0 ? polygon : backwards(polygon));
    return;
  }
  const laid = run(engine, own, pack(engine, own, area), own(new engine.Paths64()), "union", "nonzero");
  for (let index = 0; index < laid.size(); index++) all.push_back(own(laid.get(index)));
}

/** Does work with the engine, and gives back its memory of everything that was owned meanwhile. */
export function withEngine<R>(work: (engine: MainModule, own: Own) => R): R {
  return usingGeometryEngine((engine) => {
    const owned: { delete: () => void }[] = [];
    try {
      return work(engine, (object) => {
        owned.push(object);
        return object;
      });
    } finally {
      for (const object of owned) object.delete();
    }
  });
}

/** Marks a polygon by whose it is. */
type Own = <T extends { delete: () => void }>(object: T) => T;

/** Packs points as the geometry package takes them. */
export function pack(engine: MainModule, own: Own, polygons: readonly BigInt64Array[]): Paths64 {
  const paths = own(new engine.Paths64());
  for (const polygon of polygons) add(engine, own, paths, polygon);
  return paths;
}

function add(engine: MainModule, own: Own, paths: Paths64, polygon: BigInt64Array): void {
  const path = own(new engine.Path64());
  path.assign(polygon);
  paths.push_back(path);
}

function run(
  engine: MainModule,
  own: Own,
  subject: Paths64,
  clips: Paths64,
  operation: Operation,
  rule: ClipRule,
): Paths64 {
  const clipper = own(new engine.Clipper64());
  // Vertices on straight runs say which curve an edge belongs to.
  clipper.SetPreserveCollinear(true);
  clipper.AddSubject(subject);
  clipper.AddClip(clips);
  const result = own(new engine.Paths64());
  if (!clipper.ExecutePath(engine.ClipType[CLIP_TYPES[operation]], engine.FillRule[FILL_RULES[rule]], result)) {
    throw new Error("the outlines could not be combined");
  }
  return result;
}

/** The polygons of a result, read out of the engine. */
export function loopsOf(paths: Paths64): Loop[] {
  return cellsOf(paths).map(loopOf);
}

/** The same as flat numbers: x, y in cells and the input vertex's number, three to a vertex. */
export function cellsOf(paths: Paths64): Float64Array[] {
  return Array.from({ length: paths.size() }, (_, index) => {
    const path = paths.get(index);
    const cells = numbersOf(path.view());
    path.delete();
    return cells;
  });
}

function loopOf(cells: Float64Array): Loop {
  return Array.from({ length: cells.length / 3 }, (_, at) => ({
    x: cells[at * 3] ?? 0,
    y: cells[at * 3 + 1] ?? 0,
    vertex: cells[at * 3 + 2] ?? 0,
  }));
}
