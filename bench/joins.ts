import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import {
  arrange,
  combine,
  loadGeometryEngine,
  multiply,
  offsetPath,
  rotation,
  translation,
  type Path,
} from "@twin-petal/core";
import { circleSegments } from "../core/src/geometry/arc";
import { clip, loopsOf, pack, withEngine } from "../core/src/geometry/boolean/clip";
import { CELLS_PER_MILLIMETRE, facetsOf } from "../core/src/geometry/boolean/facets";
import { polygonOf, subpathOf, transformPath } from "../core/src/geometry/path";
import type { Operation } from "../core/src/geometry/boolean/operation";
import { sideBySide } from "./sideBySide";
import type { Group } from "./group";
import type { Row } from "./row";

/** Ours may take so many times as long as the bare call on the same outlines. */
const LIMIT = 1.5;
const TOLERANCE = 0.005;
/** Each disc of the spiral beside the one before. */
const SHRINK = 0.985;
const ROUNDS = 9;
const WARM_UP = 4;
/** Work that takes seconds runs in by itself, and is measured once a turn. */
const FEW = 1;

export const joins: Group = {
  name: "joins",
  about:
    "Beside the geometry package's bare call on the same outlines, flattened alike. What the ratio pays for is the grid, the true curves recovered after it, and for the offset the curves fitted. The outline of 2,000 nodes has bends tighter than its offset: what runs backwards there is cut away in our own code. All 400 discs of the even-odd row go through one point, where every chord must be looked at. Faces have no bare call: they stand beside the union of the same discs, which does far less.",
  folders: ["core/src/geometry", "core/src/join"],
  quick: true,
  measure: benchJoins,
};

/** Joins beside bare calls of the geometry package on the same outlines, flattened alike. */
async function benchJoins(): Promise<Row[]> {
  await loadGeometryEngine(() =>
    readFile(createRequire(import.meta.url).resolve("clipper2-wasm/dist/umd/clipper2z.wasm")),
  );
  const petals = around(360, [petal(40, 14)], 30);
  const sixty = around(60, [subpathOf(circleSegments(20), true)], 40);
  const discs = Array.from({ length: 400 }, (_, k): Path => {
    const radius = 60 * SHRINK ** k;
    const placed = multiply(rotation(13 * k), translation(0, -radius));
    return transformPath([subpathOf(circleSegments(radius), true)], placed);
  });
  const outline = wavy(2_000);
  return [
    row("union of 360 overlapping petals", () => combine(petals, "union"), bare(petals, "union", "nonzero")),
    row(
      "even-odd of 400 discs",
      () => combine([discs.flat()], "union", "evenodd"),
      bare([discs.flat()], "union", "evenodd"),
      FEW,
    ),
    row("faces of 60 overlapping discs, beside their union", () => arrange(sixty), bare(sixty, "union", "nonzero")),
    row("offset of an outline of 2,000 nodes", () => offsetPath(outline, 2, "round"), bareOffset(outline, 2)),
  ];
}

function row(what: string, work: () => unknown, yardstick: () => unknown, rounds = ROUNDS): Row {
  const [measured, bareTime] = sideBySide(work, yardstick, rounds, rounds === FEW ? 0 : WARM_UP);
  return { what, measured, yardstick: bareTime, unit: "ms", limit: LIMIT };
}

/** Outlines turned about a point so far from their feet. */
function around(count: number, path: Path, radius: number): Path[] {
  return Array.from({ length: count }, (_, k) =>
    transformPath(path, multiply(rotation((360 * k) / count), translation(0, -radius))),
  );
}

/** A petal of two curves from the origin upwards. */
export function petal(length: number, width: number) {
  const [foot, tip] = [
    { x: 0, y: 0 },
    { x: 0, y: -length },
  ];
  const side = (hand: number) => [
    { x: (hand * width) / 1.5, y: -length * 0.35 },
    { x: (hand * width) / 1.5, y: -length * 0.75 },
  ];
  const [a = foot, b = tip] = side(1);
  const [c = foot, d = tip] = side(-1);
  return subpathOf(
    [
      [foot, a, b, tip],
      [tip, d, c, foot],
    ],
    true,
  );
}

/** A round outline of so many nodes whose radius waves. */
function wavy(nodes: number): Path {
  return [
    polygonOf(
      Array.from({ length: nodes }, (_, k) => {
        const angle = (2 * Math.PI * k) / nodes;
        const radius = 80 + 8 * Math.sin(angle * 24);
        return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
      }),
    ),
  ];
}

/** The package's own work on outlines that are flattened already: in, combined, out. */
function bare(outlines: readonly Path[], operation: Operation, rule: "nonzero" | "evenodd"): () => unknown {
  const facets = facetsOf(outlines, TOLERANCE);
  return () => clip(facets, operation, rule);
}

/** The package’s own offset of outlines that are flattened already. */
export function bareOffset(outline: Path, by: number): () => unknown {
  const [polygons = []] = facetsOf([outline], TOLERANCE).operands;
  return () =>
    withEngine((engine, own) =>
      loopsOf(
        own(
          engine.InflatePaths64(
            pack(engine, own, polygons),
            by * CELLS_PER_MILLIMETRE,
            engine.JoinType.Round,
            engine.EndType.Polygon,
            4,
            TOLERANCE * CELLS_PER_MILLIMETRE,
          ),
        ),
      ),
    );
}
