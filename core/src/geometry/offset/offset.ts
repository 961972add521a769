import { geometryEngine } from "../../engines/geometryEngine";
import { cellsOf, pack, withOwned } from "../boolean/clip";
import { CELLS_PER_MILLIMETRE, facetsOf } from "../boolean/facets";
import type { Path } from "../path";
import { fitLoop } from "./fitLoop";

/** How an offset outline goes around outer corners: along an arc, to a point, or cut off. */
export const OFFSET_CORNERS = ["round", "miter", "bevel"] as const;
export type OffsetCorners = (typeof OFFSET_CORNERS)[number];

const JOIN_TYPES = { round: "Round", miter: "Miter", bevel: "Square" } as const;

/** Outlines are flattened to this before they are offset, millimetres, and fitted with curves to it again afterwards. */
const TOLERANCE = 0.005;
/** A pointed corner reaches no further than this many times the distance. */
const MITER_LIMIT = 4;

/**
 * The outline at a distance outwards (millimetres; inwards below 0) of the area that closed runs enclose by the
 * nonzero rule; open runs are left out. Within 0.01 mm. The geometry engine must have been loaded.
 */
export function offsetPath(path: Path, by: number, corners: OffsetCorners): Path {
  const closed = path.filter((run) => run.closed);
  if (closed.length === 0 || by === 0) return closed;
  const [polygons = []] = facetsOf([closed], TOLERANCE).operands;
  const engine = geometryEngine();
  const loops = withOwned((own) => {
    const whole = own(new engine.Paths64());
    const clipper = own(new engine.Clipper64());
    // Offsetting goes by each run's own direction: united first, outlines and holes run the right ways.
    clipper.AddSubject(pack(engine, own, polygons));
    clipper.ExecutePath(engine.ClipType.Union, engine.FillRule.NonZero, whole);
    const inflated = engine.InflatePaths64(
      whole,
      by * CELLS_PER_MILLIMETRE,
      engine.JoinType[JOIN_TYPES[corners]],
      engine.EndType.Polygon,
      MITER_LIMIT,
      TOLERANCE * CELLS_PER_MILLIMETRE,
    );
    return cellsOf(own(inflated));
  });
  return loops.map((cells) => fitLoop(everyThird(cells, 0), everyThird(cells, 1), TOLERANCE));
}

/** One coordinate of every vertex, millimetres. */
function everyThird(cells: Float64Array, first: number): Float64Array {
  return Float64Array.from({ length: cells.length / 3 }, (_, k) => (cells[3 * k + first] ?? 0) / CELLS_PER_MILLIMETRE);
}
