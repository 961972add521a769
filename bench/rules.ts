import {
  buildScene,
  matrixAt,
  multiply,
  randomFrom,
  readDesign,
  rotation,
  SceneBuilder,
  translation,
  type Design,
  type Matrix,
} from "@twin-petal/core";
import { sideBySide } from "./sideBySide";
import type { Group } from "./group";
import type { Row } from "./row";

/** A design of one part, on a sheet of 400, with what its rule may follow. */
function partWith(
  rule: object,
  motif: object = { kind: "petal", length: 4, width: 2 },
  others: readonly object[] = [],
): Design {
  const { design, problems } = readDesign({
    format: "twin-petal/1",
    name: "Bench",
    sheet: { width: 400, height: 400 },
    parts: [...others, { id: "a", motif, rules: [rule] }],
  });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

const COLUMNS = 400;
const ROWS = 250;
const COPIES = COLUMNS * ROWS;
const PITCH = 1;
const SPREAD = 0.6;
const GOLDEN = 180 * (3 - Math.sqrt(5));

export const rules: Group = {
  name: "rules",
  about:
    "Rules beside bare loops that compute the same copies; scattering beside the same method with nothing around it, bending beside setting the same motifs rigidly.",
  folders: ["core/src/rules", "core/src/scene", "core/src/geometry"],
  measure: benchRules,
};

/** Rules beside bare loops of the same: a grid, a sunflower, points strewn, motifs bent. */
function benchRules(): Row[] {
  const grid = partWith({ kind: "grid", columns: COLUMNS, rows: ROWS, pitch: PITCH });
  const sunflower = partWith({ kind: "spiral", form: "sunflower", count: COPIES, spread: SPREAD });
  return [
    evaluated("evaluate a grid of 100,000", grid, bareGrid),
    evaluated("evaluate a sunflower of 100,000", sunflower, bareSunflower),
    scattered(),
    bent(),
  ];
}

function evaluated(what: string, design: Design, bare: () => Float64Array): Row {
  checkSame(design, bare());
  const [measured, yardstick] = sideBySide(() => new SceneBuilder().build(design), bare, 15, 10);
  return { what, measured, yardstick, unit: "ms", limit: 2 };
}

/** One product for each copy with its place, one with the source, and nothing around them. */
function products(place: (copy: number) => Matrix): Float64Array {
  const result = new Float64Array(6 * COPIES);
  const source: Matrix = [1, 0, 0, 1, 0, 0];
  for (let copy = 0; copy < COPIES; copy++) result.set(multiply(place(copy), source), 6 * copy);
  return result;
}

function bareGrid(): Float64Array {
  return products((copy) =>
    multiply(
      translation(
        ((copy % COLUMNS) - (COLUMNS - 1) / 2) * PITCH,
        (Math.floor(copy / COLUMNS) - (ROWS - 1) / 2) * PITCH,
      ),
      [1, 0, 0, 1, 0, 0],
    ),
  );
}

function bareSunflower(): Float64Array {
  return products((copy) => {
    const direction = copy * GOLDEN;
    const radians = (direction * Math.PI) / 180;
    const radius = SPREAD * Math.sqrt(copy);
    return multiply(translation(radius * Math.sin(radians), -radius * Math.cos(radians)), rotation(direction));
  });
}

/** The yardstick is only one if it computes the same copies. */
function checkSame(design: Design, bare: Float64Array): void {
  const matrices = buildScene(design).parts[0]?.geometry.placements.matrices ?? new Float64Array();
  const differs = (copy: number) =>
    matrixAt(matrices, copy).some((entry, place) => Math.abs(entry - (matrixAt(bare, copy)[place] ?? NaN)) > 1e-6);
  if (matrices.length !== bare.length || [0, 7, COPIES - 1].some(differs)) {
    throw new Error("the yardstick computes other copies");
  }
}

const POINTS = 10_000;
const GAP = 2.9;

/** Points strewn over the sheet, beside the same method with nothing around it. */
function scattered(): Row {
  const design = partWith({ kind: "scatter", count: POINTS, gap: GAP });
  const found = buildScene(design).parts[0]?.geometry.placements.count;
  const bare = bareScatter();
  if (found !== bare.length) throw new Error(`the yardstick strews ${bare.length} points, not ${found}`);
  const [measured, yardstick] = sideBySide(() => new SceneBuilder().build(design), bareScatter, 9, 4);
  return { what: `scatter ${found.toLocaleString("en")} points`, measured, yardstick, unit: "ms", limit: null };
}

/** Darts, then points around those there are (Bridson), in a grid of cells that hold one point each. */
function bareScatter(): number[][] {
  const random = randomFrom(1);
  const side = GAP / Math.SQRT2;
  const across = Math.floor(400 / side) + 1;
  const cells = new Int32Array(across * across).fill(-1);
  const points: number[][] = [];
  const take = (x: number, y: number): boolean => {
    if (x < -200 || x > 200 || y < -200 || y > 200) return false;
    const column = Math.min(across - 1, Math.floor((x + 200) / side));
    const row = Math.min(across - 1, Math.floor((y + 200) / side));
    for (let r = Math.max(0, row - 2); r <= Math.min(across - 1, row + 2); r++) {
      for (let c = Math.max(0, column - 2); c <= Math.min(across - 1, column + 2); c++) {
        const [px = NaN, py = NaN] = points[cells[r * across + c] ?? -1] ?? [];
        if ((px - x) ** 2 + (py - y) ** 2 < GAP * GAP) return false;
      }
    }
    cells[row * across + column] = points.length;
    points.push([x, y]);
    return true;
  };
  for (let dart = 0; dart < POINTS * 6 && points.length < POINTS; dart++)
    take(random() * 400 - 200, random() * 400 - 200);
  const active = points.map((_, index) => index);
  while (active.length > 0 && points.length < POINTS) {
    const at = Math.floor(random() * active.length);
    const [x = 0, y = 0] = points[active[at] ?? 0] ?? [];
    let grown = false;
    for (let attempt = 0; attempt < 30 && !grown; attempt++) {
      const angle = random() * 2 * Math.PI;
      const reach = GAP * (1 + random());
      grown = take(x + reach * Math.cos(angle), y + reach * Math.sin(angle));
    }
    if (grown) active.push(points.length - 1);
    else {
      active[at] = active.at(-1) ?? 0;
      active.pop();
    }
  }
  return points;
}

const BENT = 1_000;

/** Motifs bent along a spiral, beside the same motifs set along it as they are. */
function bent(): Row {
  const line = { id: "line", role: "guide", motif: { kind: "curve", turns: 6, pitch: 25 } };
  const motif = { kind: "leaf", length: 6, width: 3 };
  const along = (bend: boolean) => partWith({ kind: "along", path: "line", count: BENT, bend }, motif, [line]);
  const [design, rigid] = [along(true), along(false)];
  const [measured, yardstick] = sideBySide(
    () => new SceneBuilder().build(design),
    () => new SceneBuilder().build(rigid),
    9,
    4,
  );
  return {
    what: "bend 1,000 motifs along a spiral, beside setting them rigidly",
    measured,
    yardstick,
    unit: "ms",
    limit: null,
  };
}
