import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import {
  buildScene,
  combine,
  loadGeometryEngine,
  makeGcode,
  multiply,
  offsetPath,
  parseDesign,
  planCut,
  prepareFor,
  rotation,
  shortestWay,
  transformPath,
  translation,
  travelOf,
  type Design,
  type Errand,
  type Path,
} from "@twin-petal/core";
import { NODE_HOST } from "@twin-petal/host";
import { nearestFirst } from "../core/src/errands/nearestFirst";
import { straight } from "../core/src/geometry/cubic";
import { flattenPath } from "../core/src/geometry/flatten";
import { subpathOf } from "../core/src/geometry/path";
import { randomFrom } from "../core/src/geometry/random";
import { bareOffset, petal } from "./joins";
import { sideBySide } from "./sideBySide";
import type { Group } from "./group";
import type { Row } from "./row";

const ROUNDS = 9;
const WARM_UP = 3;
/** Millimetres between strewn outlines, about. */
const APART = 20;
/** The way may be at most so long beside that to the nearest each time. */
const TRAVEL = 0.85;

export const cuts: Group = {
  name: "cuts",
  about:
    "The way over strewn outlines beside the nearest each time, kerf beside the bare offset, a program beside the same in chords.",
  folders: ["core/src/errands", "core/src/cut", "core/src/make", "core/src/geometry/offset"],
  quick: true,
  measure: benchCuts,
};

/** The order of cuts beside the nearest each time, kerf beside the bare offset, a program beside the same in chords. */
async function benchCuts(): Promise<Row[]> {
  await loadGeometryEngine(() =>
    readFile(createRequire(import.meta.url).resolve("clipper2-wasm/dist/umd/clipper2z.wasm")),
  );
  return [...orderRows(1_000, 2_000), ...orderRows(10_000, 30_000), kerfRow(), ...(await programRows())];
}

function orderRows(count: number, most: number): Row[] {
  const random = randomFrom(7);
  const side = APART * Math.sqrt(count);
  const errands = Array.from({ length: count }, (): Errand => {
    const at = { x: random() * side, y: random() * side };
    return { from: at, to: at, reversible: true };
  });
  const start = { x: 0, y: 0 };
  const began = performance.now();
  const visits = shortestWay(errands, start);
  const taken = performance.now() - began;
  const words = `${count.toLocaleString("en")} strewn outlines`;
  return [
    {
      what: `travel over ${words}, beside the nearest each time`,
      measured: travelOf(errands, start, visits),
      yardstick: travelOf(errands, start, nearestFirst(errands, start)),
      unit: "mm",
      limit: TRAVEL,
    },
    { what: `finding the way over ${words}`, measured: taken, yardstick: null, unit: "ms", limit: most },
  ];
}

function kerfRow(): Row {
  const petals = Array.from({ length: 360 }, (_, k) =>
    transformPath([petal(40, 14)], multiply(rotation(k), translation(0, -30))),
  );
  const merged = combine(petals, "union");
  const [measured, yardstick] = sideBySide(
    () => offsetPath(merged, 0.1, "round"),
    bareOffset(merged, 0.1),
    ROUNDS,
    WARM_UP,
  );
  return { what: "kerf of 360 merged petals, beside the bare offset", measured, yardstick, unit: "ms", limit: 1.5 };
}

async function programRows(): Promise<Row[]> {
  const { design } = parseDesign(await readFile("demo/swim-night-notice.petal.json", "utf8"));
  if (!design) throw new Error("the notice cannot be read");
  await prepareFor(design, NODE_HOST);
  const scene = buildScene(design);
  const plan = planCut(scene);
  const chords = {
    ...plan,
    strokes: plan.strokes.map((stroke) => ({ ...stroke, runs: inChords(stroke.runs, plan.settings.tolerance) })),
  };
  const program = (own: typeof plan) => makeGcode({ design: withoutParts(design), scene, plan: own });
  const [measured, yardstick] = sideBySide(
    () => program(plan),
    () => program(chords),
    3,
    1,
  );
  const [arcs, straightOnes] = [program(plan).length / 1_000, program(chords).length / 1_000];
  return [
    {
      what: "program of the swim-night notice, beside the same in chords",
      measured,
      yardstick,
      unit: "ms",
      limit: null,
    },
    { what: "its size, beside the same in chords", measured: arcs, yardstick: straightOnes, unit: "kB", limit: null },
  ];
}

function inChords(runs: Path, tolerance: number): Path {
  return flattenPath(runs, tolerance).map((points) =>
    subpathOf(
      points.slice(1).map((end, k) => straight(points[k] ?? end, end)),
      false,
    ),
  );
}

/** A program is called after its design. */
const withoutParts = (design: Design): Design => ({ ...design, parts: [] });
