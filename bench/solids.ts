import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import {
  buildScene,
  designForSolids,
  loadGeometryEngine,
  loadSolidEngine,
  makeBodies,
  readDesign,
  Slicer,
  SolidLayouter,
  spaceAt,
  type Design,
  type SolidLayout,
} from "@twin-petal/core";
import type { Manifold } from "manifold-3d";
import { solidEngine } from "../core/src/engines/solidEngine";
import { withArena, type Arena } from "../core/src/form/arena";
import { areaOfOutline } from "../core/src/form/area";
import { engineSolid } from "../core/src/form/engineMesh";
import { moved } from "../core/src/solid/moved";
import type { Group } from "./group";
import { median } from "./median";
import type { Row } from "./row";

const ROUNDS = 9;
const WARM_UP = 3;
/** How far chords may leave curves, millimetres. */
const TOLERANCE = 0.01;
const LAYERS = 1_000;

export const solids: Group = {
  name: "solids",
  about: "Beside bare calls of the solid engine on the same outlines, turn by turn.",
  folders: ["core/src/form", "core/src/solid"],
  measure: benchSolids,
};

/** Solids from the design to the mesh, and layers, beside bare calls of the solid engine on the same outlines. */
async function benchSolids(): Promise<Row[]> {
  const found = (file: string) => readFile(createRequire(import.meta.url).resolve(file));
  await Promise.all([
    loadGeometryEngine(() => found("clipper2-wasm/dist/umd/clipper2z.wasm")),
    loadSolidEngine(() => found("manifold-3d/manifold.wasm")),
  ]);
  return [
    await benchMesh("vent plate of 24 holes, design to mesh", PLATE),
    await benchMesh("soap basket, design to mesh", BASKET),
    await benchLayers(),
  ];
}

const designOf = (parts: readonly object[]): Design => {
  const { design, problems } = readDesign({ format: "twin-petal/1", name: "Bench", parts });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
};

const PLATE = designOf([
  { id: "plate", motif: { kind: "disc", radius: 60 }, solid: { depth: 5 } },
  {
    id: "holes",
    motif: { kind: "disc", radius: 4 },
    rules: [{ kind: "ring", count: 24, radius: 40 }],
    solid: { depth: 5, role: "cutter" },
  },
]);

const decagon = (radius: number) => ({ kind: "polygon", sides: 10, radius });
const BASKET = designOf([
  { id: "base", motif: { kind: "ring", outer: 54, inner: 9 }, finish: { fill: "#1E6F5C" }, solid: { depth: 6 } },
  {
    id: "hoops",
    motif: { kind: "compound", op: "difference", of: [decagon(60), decagon(55)] },
    rules: [{ kind: "ring", count: 16, radius: 10 }],
    finish: { fill: "#1E6F5C" },
    solid: { depth: 4, tilt: { y: 50, z: 30 }, lift: "rest" },
  },
]);

function laidOut(design: Design): SolidLayout {
  return new SolidLayouter().layOut(design, buildScene(designForSolids(design)), TOLERANCE);
}

async function benchMesh(what: string, design: Design): Promise<Row> {
  const work = () => makeBodies(laidOut(design), () => Promise.resolve());
  const bare = bareMesh(design);
  const [measured, yardstick] = await turnByTurn(work, bare);
  return { what, measured, yardstick, unit: "ms", limit: 1.3 };
}

/** The engine's own work on outlines and places that are known already: raised, placed, united, cut, read out. */
function bareMesh(design: Design): () => Promise<unknown> {
  const scene = buildScene(designForSolids(design));
  const { parts } = laidOut(design);
  return () =>
    Promise.resolve(
      withArena((arena) => {
        const { Manifold } = solidEngine();
        const solids = parts.map((part) => {
          const outline = scene.parts.find(({ id }) => id === part.id)?.geometry.path ?? [];
          const solid = design.parts[part.place]?.solid;
          const through = part.role === "cutter" ? 0.5 : 0;
          const depth = Number(solid?.depth) + 2 * through;
          const area = areaOfOutline(outline, "nonzero", TOLERANCE / 2, arena);
          const form = arena.keep(arena.keep(area.extrude(depth)).translate(0, 0, -through));
          return { role: part.role, copies: part.groups.flatMap((group) => placed(form, group, arena)) };
        });
        const of = (role: string) => solids.filter((one) => one.role === role).flatMap(({ copies }) => copies);
        const body = arena.keep(Manifold.union(of("body")));
        const cut = of("cutter");
        const whole = cut.length > 0 ? arena.keep(Manifold.difference([body, ...cut])) : body;
        return [whole.getMesh(), whole.volume(), whole.surfaceArea(), whole.genus()];
      }),
    );
}

function placed(form: Manifold, { matrices, copies }: SolidLayout["parts"][number]["groups"][number], arena: Arena) {
  return Array.from(copies, (_, index) => arena.keep(moved(form, spaceAt(matrices, index))));
}

async function benchLayers(): Promise<Row> {
  const { whole } = await makeBodies(laidOut(BASKET), () => Promise.resolve(), true);
  if (!whole) throw new Error("nothing stands");
  const top = whole.positions.reduce((most, value, index) => (index % 3 === 2 ? Math.max(most, value) : most), 0);
  const settings = { layer: top / LAYERS, walls: 0, filling: 0, lineWidth: 0.4 };
  const sliced = () => {
    const slicer = new Slicer([whole], settings, true);
    const areas = slicer.places.map((_, index) => slicer.layer(index).area);
    return Promise.resolve(areas);
  };
  const bare = () => {
    const solid = engineSolid(whole);
    const outlines = Array.from({ length: LAYERS }, (_, k) => {
      const section = solid.slice((k + 0.5) * settings.layer);
      const polygons = section.toPolygons();
      section.delete();
      return polygons;
    });
    solid.delete();
    return Promise.resolve(outlines);
  };
  const [measured, yardstick] = await turnByTurn(sliced, bare);
  return { what: "1,000 layers of the basket sliced", measured, yardstick, unit: "ms", limit: 1.2 };
}

/** Times two pieces of work turn by turn, so that what disturbs one disturbs the other. */
async function turnByTurn(work: () => Promise<unknown>, yardstick: () => Promise<unknown>): Promise<[number, number]> {
  const times: [number[], number[]] = [[], []];
  for (let round = -WARM_UP; round < ROUNDS; round++) {
    for (const [index, run] of [work, yardstick].entries()) {
      const began = performance.now();
      await run();
      if (round >= 0) times[index]?.push(performance.now() - began);
    }
  }
  return [median(times[0]), median(times[1])];
}
