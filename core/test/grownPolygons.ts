import { combine } from "../src/geometry/boolean/boolean";
import { loopsOf, pack, withEngine } from "../src/geometry/boolean/clip";
import { CELLS_PER_MILLIMETRE } from "../src/geometry/boolean/facets";
import { wholeNumbers } from "../src/geometry/boolean/wholeNumbers";
import { flattenPath } from "../src/geometry/flatten";
import { areaOfPath, polygonOf, type Path } from "../src/geometry/path";

/** How a band is drawn; millimetres. */
export interface Band {
  readonly width: number;
  readonly cap: "butt" | "round" | "square";
  readonly join: "miter" | "round";
}

export const united = (path: Path) => combine([path], "union");
export const areaOf = (path: Path) => Math.abs(areaOfPath(path));

/** Chords so near to their curves, millimetres. */
const FINE = 0.003;

/** Polygons grown by the geometry package, flattened finely. */
export function grown(
  path: Path,
  by: number,
  join: Band["join"],
  end: "Polygon" | "Joined" | "Butt" | "Square" | "Round",
): Path {
  return withEngine((engine, own) => {
    const joins = { miter: engine.JoinType.Miter, round: engine.JoinType.Round };
    const polygons = path.map((run) => {
      const [points = []] = flattenPath([run], FINE);
      const cells = (run.closed ? points.slice(0, -1) : points).flatMap(({ x, y }) => [x, y, 0]);
      return wholeNumbers(cells.map((value) => Math.round(value * CELLS_PER_MILLIMETRE)));
    });
    const packed = pack(engine, own, polygons);
    const reach = by * CELLS_PER_MILLIMETRE;
    const loops = own(
      engine.InflatePaths64(packed, reach, joins[join], engine.EndType[end], 4, FINE * CELLS_PER_MILLIMETRE),
    );
    return loopsOf(loops).map((loop) =>
      polygonOf(loop.map(({ x, y }) => ({ x: x / CELLS_PER_MILLIMETRE, y: y / CELLS_PER_MILLIMETRE }))),
    );
  });
}

/** The band along a path's runs. */
export function stroked(path: Path, { width, cap, join }: Band): Path {
  const ends = { butt: "Butt", round: "Round", square: "Square" } as const;
  return united(path.flatMap((run) => grown([run], width / 2, join, run.closed ? "Joined" : ends[cap])));
}
