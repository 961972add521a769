import type { Errand } from "../errands/errand";
import { shortestWay } from "../errands/shortestWay";
import { colorAt } from "../finish/paint";
import { apply, isSimilar, multiply, scaling, sizeOf, type Matrix } from "../geometry/matrix";
import { transformPath, type Path } from "../geometry/path";
import { ORIGIN, type Point } from "../geometry/point";
import { fewerColors } from "../palette/fewerColors";
import { shapeOfCopy } from "../rules/copyOutlines";
import { matrixAt } from "../rules/placements";
import { asMembers } from "../scene/asMembers";
import type { PartScene, Scene } from "../scene/scene";
import type { Limits } from "../thread/lines/definition";
import { LINE_STITCH_KINDS } from "../thread/lines/list";
import { spendOnPoints } from "../thread/pointEffort";
import { areaToSew, sewArea, sewLine, startOf, type Sewn } from "../thread/sewn";
import type { ResolvedStitch } from "../thread/stitchFields";
import { stitchingOf } from "./stitchingOf";

/** What is sewn of one copy with one thread: its area or its outline. On the sheet, millimetres. */
export interface Unit extends Sewn {
  /** The id of its part. */
  readonly part: string;
  /** The id of the part that its part repeats whole; null where it is a copy of the part itself. */
  readonly member: string | null;
  /** The copy's number in its part. */
  readonly copy: number;
  /** The colour of its thread, `#RRGGBB`. */
  readonly thread: string;
  /** How wide a band around its ways it covers; 0 for thread alone. */
  readonly width: number;
}

/** Everything of a scene that is sewn, copy by copy, below first. The geometry engine must have been loaded. */
export function unitsOf(scene: Scene): Unit[] {
  const units = asMembers(scene, ({ stitch }) => stitch !== null).flatMap(({ part, member }) => {
    const stitching = stitchingOf(part);
    return stitching ? unitsOfPart(part, member, stitching, scene.making.stitch) : [];
  });
  const threads = fewerColors(
    units.map(({ thread }) => thread),
    ALIKE,
  );
  return units.map((unit) => ({ ...unit, thread: threads.get(unit.thread) ?? unit.thread }));
}

/** Colours nearer than this in OKLab are sewn with one thread: nobody has a reel for each step of a ramp. */
const ALIKE = 0.06;

/** Copies shrunk to less than this share of the motif are nothing. */
const TOO_SMALL = 1e-6;

function unitsOfPart(
  part: PartScene,
  member: string | null,
  stitching: ResolvedStitch,
  { longest, shortest, scale }: Scene["making"]["stitch"],
): Unit[] {
  const { fill, line, underlay, pull, thread, order } = stitching;
  const { placements, faceOf } = part.geometry;
  const limits: Limits = { longest, shortest, pull };
  const isByFinish = part.stitch === null;
  const isEven = part.finish.line?.widths === "same";
  const known = new KnownShapes(part, scale);
  const colors = { fill: colorOf(part, "fill", thread), line: colorOf(part, "line", thread) };
  const units = Array.from({ length: placements.count }, (_, copy): Unit[] => {
    const size = sizeOf(matrixAt(placements.matrices, copy)) * scale;
    if (size < TOO_SMALL) return [];
    const isFace = faceOf ? faceOf[copy] !== null : null;
    const own: Unit[] = [];
    const common = { part: part.id, member, copy };
    const fillColor = fill && isFace !== false ? colors.fill(copy) : null;
    if (fill && fillColor !== null) {
      const sewn = known.sewn("area", copy, (path, start) => sewArea(path, start, fill, underlay, limits));
      own.push({ ...common, thread: fillColor, width: 0, ...sewn });
    }
    const lineColor = line && isFace !== true ? colors.line(copy) : null;
    if (line && lineColor !== null) {
      // A line of the finish is as much thinner as its copy is smaller, unless it is as wide everywhere.
      const wide = isByFinish ? { ...line, width: line.width * (isEven ? scale : size) } : line;
      const sewn = known.sewn("line", copy, (path) => sewLine(path, wide, underlay, limits));
      own.push({ ...common, thread: lineColor, width: LINE_STITCH_KINDS[wide.kind].width(wide), ...sewn });
    }
    return own.filter(({ runs }) => runs.some((run) => run.length > 1));
  });
  return (order === "nearest" ? byShortWay(units) : units).flat();
}

/** Copies by a short way from where one ends to where the next begins. */
function byShortWay(copies: readonly (readonly Unit[])[]): (readonly Unit[])[] {
  const sewn = copies.filter((units) => units.length > 0);
  const errands = sewn.map((units): Errand => {
    const [from, to] = [units[0]?.runs[0]?.[0], units.at(-1)?.runs.at(-1)?.at(-1)];
    return { from: from ?? ORIGIN, to: to ?? ORIGIN, reversible: false };
  });
  return shortestWay(errands, errands[0]?.from ?? ORIGIN).flatMap(({ errand }) => {
    const units = sewn[errand];
    return units ? [units] : [];
  });
}

/** The thread of what has no colour of its own. */
const BARE = "#2B2140";

/** The colour of a copy's thread; null where nothing shows. */
function colorOf(
  { finish, geometry }: PartScene,
  what: "fill" | "line",
  thread: string | undefined,
): (copy: number) => string | null {
  const own = { fill: finish.fill, line: finish.line?.paint };
  const paint = own[what] ?? own.fill ?? own.line;
  if (!paint) return () => thread?.slice(0, 7) ?? BARE;
  const color = colorAt(paint, geometry.placements);
  return (copy) => {
    const shown = color(copy);
    return shown.endsWith("00") && shown.length === 9 ? null : (thread ?? shown).slice(0, 7);
  };
}

/** Sews each outline once for all copies that are as large, and carries the stitches to where they stand. */
class KnownShapes {
  private readonly known = new Map<string, Sewn>();
  private readonly areas = new Map<number, Path>();

  constructor(
    private readonly part: PartScene,
    private readonly scale: number,
  ) {}

  /** Sews a copy's outline as it is, or the area it encloses; told where the outline begins. */
  sewn(what: "area" | "line", copy: number, sew: (path: Path, start: Point) => Sewn): Sewn {
    const { geometry } = this.part;
    const shape = geometry.placements.shapeOf?.[copy] ?? 0;
    const { path } = shapeOfCopy(geometry, copy);
    const outline = what === "line" ? path : this.areaOf(shape, path);
    const start = startOf(path) ?? ORIGIN;
    const matrix = multiply(scaling(this.scale), matrixAt(geometry.placements.matrices, copy));
    if (!isSimilar(matrix)) return sew(transformPath(outline, matrix), apply(matrix, start));
    const size = sizeOf(matrix);
    const key = `${what} ${shape} ${size.toFixed(9)}`;
    const bySize = scaling(size);
    const own = this.known.get(key) ?? sew(size === 1 ? outline : transformPath(outline, bySize), apply(bySize, start));
    this.known.set(key, own);
    const [a, b, c, d, e, f] = matrix;
    return carried(own, [a / size, b / size, c / size, d / size, e, f]);
  }

  private areaOf(shape: number, path: Path): Path {
    const area = this.areas.get(shape) ?? areaToSew(path);
    this.areas.set(shape, area);
    return area;
  }
}

function carried({ runs, ways, area }: Sewn, by: Matrix): Sewn {
  const all = (rows: readonly (readonly Point[])[]) =>
    rows.map((points) => {
      spendOnPoints(points.length);
      return points.map((point) => apply(by, point));
    });
  return { runs: all(runs), ways: all(ways), area: all(area) };
}
