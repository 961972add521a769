import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import {
  buildScene,
  loadGeometryEngine,
  planStitches,
  readDesign,
  type Design,
  type Path,
  type Scene,
} from "@twin-petal/core";
import { pack, withEngine } from "../core/src/geometry/boolean/clip";
import { flattenPath } from "../core/src/geometry/flatten";
import { copyOutlines } from "../core/src/rules/copyOutlines";
import { sideBySide } from "./sideBySide";
import type { Group } from "./group";
import type { Row } from "./row";

const ROUNDS = 7;
const WARM_UP = 2;
const SPACING = 0.4;
/** Cells a millimetre on the grid the bare call clips on. */
const CELLS = 1000;
/** Twice as much may take so many times as long: n log n, and the noise of a machine that is shared. */
const GROWTH = 2.4;

/** Petals filled in rows; of different sizes each is planned by itself, of one size once for all. */
export function stitched(petals: number, scale = 0.9995): Design {
  const { design } = readDesign({
    format: "twin-petal/1",
    name: "Stitched petals",
    sheet: { width: 600, height: 600 },
    parts: [
      {
        id: "a",
        name: "Petals",
        motif: { kind: "petal", length: 40, width: 18 },
        rules: [
          { kind: "step", count: petals, turn: 17, scale },
          { kind: "vary", moveX: "40 * mod(i, 12) - 220", moveY: "44 * floor(i / 12) - 220" },
        ],
        stitch: { fill: { spacing: SPACING, length: 4 } },
      },
    ],
    making: { stitch: { frame: { width: 700, height: 700 } } },
  });
  if (!design) throw new Error("the design cannot be read");
  return design;
}

export const stitches: Group = {
  name: "stitches",
  about:
    "Rows, the order of columns, needle points, the ways between 120 petals and the run, beside the geometry package cutting the same rows off at the same outlines and nothing else. Copies alike are planned once.",
  folders: ["core/src/thread", "core/src/stitch"],
  quick: true,
  measure: benchStitches,
};

/** The plan of stitches beside rows clipped bare by the geometry package, and how it grows. */
async function benchStitches(): Promise<Row[]> {
  await loadGeometryEngine(() =>
    readFile(createRequire(import.meta.url).resolve("clipper2-wasm/dist/umd/clipper2z.wasm")),
  );
  const scene = buildScene(stitched(120));
  const count = planStitches(scene).how.length;
  const [measured, yardstick] = sideBySide(() => planStitches(scene), bareRows(scene), ROUNDS, WARM_UP);
  const half = buildScene(stitched(60));
  const [whole, twice] = sideBySide(
    () => planStitches(scene),
    () => planStitches(half),
    ROUNDS,
    WARM_UP,
  );
  const alike = buildScene(stitched(120, 1));
  const [same, bare] = sideBySide(() => planStitches(alike), bareRows(alike), ROUNDS, WARM_UP);
  const words = `plan of ${count.toLocaleString("en")} stitches`;
  return [
    { what: `${words}, copies alike, beside rows clipped bare`, measured: same, yardstick: bare, unit: "ms", limit: 3 },
    { what: `${words}, no two alike, beside rows clipped bare`, measured, yardstick, unit: "ms", limit: 3 },
    { what: `${words}, beside half of them`, measured: whole, yardstick: twice, unit: "ms", limit: GROWTH },
  ];
}

/** Level rows across every outline, cut off at it by the geometry package. */
function bareRows(scene: Scene): () => number {
  const areas = scene.parts.flatMap(({ geometry }) => copyOutlines(geometry)).map(flat);
  return () =>
    areas.reduce((sum, { polygons, rows }) => {
      const count = withEngine((engine, own) => {
        const clipper = own(new engine.Clipper64());
        clipper.AddOpenSubject(pack(engine, own, rows));
        clipper.AddClip(pack(engine, own, polygons));
        const closed = own(new engine.Paths64());
        const open = own(new engine.Paths64());
        clipper.ExecutePath(engine.ClipType.Intersection, engine.FillRule.NonZero, closed, open);
        return open.size();
      });
      return sum + count;
    }, 0);
}

function flat(path: Path): { polygons: BigInt64Array[]; rows: BigInt64Array[] } {
  const points = flattenPath(path, 0.01);
  const [xs, ys] = [points.flat().map(({ x }) => x), points.flat().map(({ y }) => y)];
  const [left, right] = [Math.min(...xs) - 1, Math.max(...xs) + 1];
  const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
  const rows: BigInt64Array[] = [];
  for (let y = top + SPACING / 2; y < bottom; y += SPACING) rows.push(cells([left, y, right, y]));
  return { polygons: points.map((run) => cells(run.flatMap(({ x, y }) => [x, y]))), rows };
}

/** x, y and a number for each point, as the package takes them. */
function cells(places: readonly number[]): BigInt64Array {
  const numbers: bigint[] = [];
  for (let k = 0; k < places.length; k += 2) {
    numbers.push(...[places[k] ?? 0, places[k + 1] ?? 0].map((value) => BigInt(Math.round(value * CELLS))), 0n);
  }
  return BigInt64Array.from(numbers);
}
