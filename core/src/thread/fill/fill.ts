import Flatbush from "flatbush";
import { distance, type Point } from "../../geometry/point";
import { courseOver } from "../course";
import type { Limits } from "../lines/definition";
import { runningPoints } from "../lines/running";
import { rowPlaces } from "../rowPlaces";
import type { FillStitch } from "../stitchFields";
import { levelOf, type Level } from "./level";
import { RowGraph } from "./rowGraph";
import { columnsOf, rowsAcross, type RowStretch } from "./rows";

/** From needle point to needle point where a fill passes from one place to another, millimetres. */
const PASSING = 2.5;

/**
 * Rows across an area (polygons that cross nowhere, filled by the nonzero rule), every row sewn once: needle points of one
 * unbroken run for each piece of it that hangs together, begun as near to `start` as can be. Columns of rows are sewn to and
 * fro; from the end of one the nearest end of a column that is left is gone to along the outline, by Dijkstra's shortest
 * ways. Millimetres.
 */
export function fillRuns(
  area: readonly (readonly Point[])[],
  stitch: FillStitch,
  limits: Limits,
  start: Point,
): Point[][] {
  const level = levelOf(stitch);
  const polygons = area.map(level.to);
  const stretches = rowsAcross(polygons, stitch.spacing);
  const graph = new RowGraph(polygons, stretches);
  const way = new FillWay(graph, stretches, columnsOf(stretches), { stitch, limits, level });
  return way.runsFrom(start);
}

interface Sewing {
  readonly stitch: FillStitch;
  readonly limits: Limits;
  readonly level: Level;
}

/** The way a needle goes through a graph of rows. */
class FillWay {
  private readonly left: Set<number>;
  private readonly columnOf: Int32Array;
  /** Nodes by their places on the sheet, once there is more than one run. */
  private nodes: Flatbush | null = null;
  /** The column that has a node at one of its corners. */
  private readonly columnAt = new Map<number, number>();

  constructor(
    private readonly graph: RowGraph,
    private readonly stretches: readonly RowStretch[],
    private readonly columns: readonly (readonly number[])[],
    private readonly sewing: Sewing,
  ) {
    this.left = new Set(columns.keys());
    this.columnOf = new Int32Array(stretches.length);
    columns.forEach((column, number) => {
      for (const stretch of column) this.columnOf[stretch] = number;
      for (const stretch of [column[0] ?? 0, column.at(-1) ?? 0]) {
        this.columnAt.set(2 * stretch, number);
        this.columnAt.set(2 * stretch + 1, number);
      }
    });
  }

  runsFrom(start: Point): Point[][] {
    const runs: Point[][] = [];
    let at = start;
    while (this.left.size > 0) {
      const run = this.run(this.cornerNear(this.nearest(at)));
      at = run.at(-1) ?? at;
      if (run.length > 1) runs.push(run);
    }
    return runs;
  }

  /** The node nearest to a place, of columns that are left. */
  private nearest(place: Point): number {
    if (this.left.size === this.columns.length) return this.nearestOfAll(place);
    const isLeft = (node: number) => this.left.has(this.columnOf[node >> 1] ?? -1);
    return this.nodeIndex().neighbors(place.x, place.y, 1, Infinity, isLeft)[0] ?? 0;
  }

  private nearestOfAll(place: Point): number {
    let [best, least] = [0, Infinity];
    for (let node = 0; node < 2 * this.stretches.length; node++) {
      const away = distance(this.onSheet(this.graph.place(node)), place);
      if (away < least) [best, least] = [node, away];
    }
    return best;
  }

  private nodeIndex(): Flatbush {
    if (this.nodes) return this.nodes;
    const index = new Flatbush(2 * this.stretches.length);
    for (let node = 0; node < 2 * this.stretches.length; node++) {
      const { x, y } = this.onSheet(this.graph.place(node));
      index.add(x, y, x, y);
    }
    index.finish();
    this.nodes = index;
    return index;
  }

  /** A node from which a column can be begun: the node itself, where one is reached from it. */
  private cornerNear(node: number): number {
    if (this.graph.wayTo(node, (end) => this.isCorner(end))) return node;
    return 2 * (this.columns[this.columnOf[node >> 1] ?? 0]?.[0] ?? 0);
  }

  /** Whether a column that is left can be begun at a node. */
  private isCorner(node: number): boolean {
    return this.left.has(this.columnAt.get(node) ?? -1);
  }

  private run(start: number): Point[] {
    const points: Point[] = [this.onSheet(this.graph.place(start))];
    let node = start;
    for (;;) {
      const way = this.graph.wayTo(node, (end) => this.isCorner(end));
      if (!way) return points;
      this.pass(points, way);
      const entry = way.at(-1) ?? node;
      node = this.sewColumn(points, this.columnAt.get(entry) ?? 0, entry);
    }
  }

  /** Sews a column to and fro from one of its corners; answers the node it ends at. */
  private sewColumn(points: Point[], number: number, entry: number): number {
    this.left.delete(number);
    const column = this.columns[number] ?? [];
    const rows = column[0] === entry >> 1 ? column : column.toReversed();
    let node = entry;
    rows.forEach((stretch, index) => {
      if (index > 0) {
        const next = 2 * stretch + (node % 2);
        this.step(points, node, next);
        node = next;
      }
      this.sewRow(points, node);
      node ^= 1;
    });
    return node;
  }

  private sewRow(points: Point[], node: number): void {
    const { stitch, limits, level } = this.sewing;
    const stretch = this.stretches[node >> 1];
    if (!stretch) return;
    const { row, y } = stretch;
    const [left, right] = [stretch.from.x - limits.pull, stretch.to.x + limits.pull];
    const longest = Math.min(stitch.length, limits.longest);
    // Points stand where they do for all rows, whichever way each is sewn and wherever it begins.
    const places = rowPlaces(right - left, longest, row * stitch.shift - left / longest, limits.shortest);
    const isRightward = node % 2 === 0;
    const start = level.back({ x: isRightward ? left : right, y });
    if (!isTooNear(points.at(-1), start, limits.shortest)) points.push(start);
    for (let k = 0; k < places.length; k++) {
      const at = places[isRightward ? k : places.length - 1 - k] ?? 0;
      points.push(level.back({ x: left + at, y }));
    }
    points.push(level.back({ x: isRightward ? right : left, y }));
  }

  /** From node to neighbouring node, mostly one stitch; else along the outline by running stitches. */
  private step(points: Point[], from: number, to: number): void {
    if (!this.graph.isDirect(from, to, PASSING)) return this.pass(points, [from, to]);
    const place = this.onSheet(this.graph.place(to));
    if (!isTooNear(points.at(-1), place, this.sewing.limits.shortest)) points.push(place);
  }

  /** Along the outline from node to node of a way, by running stitches. */
  private pass(points: Point[], way: readonly number[]): void {
    const [first] = way;
    const { limits } = this.sewing;
    if (first === undefined || way.length < 2) return;
    const by = [this.graph.place(first), ...way.slice(1).flatMap((to, k) => this.graph.pass(way[k] ?? first, to))];
    const course = courseOver(by.map((point) => this.onSheet(point)));
    if (!course) return;
    const passed = runningPoints(course, PASSING).slice(1);
    // Of a row's end and a corner beside it the corner stays: without it thread would lie outside the area.
    if (passed.length > 1 && isTooNear(points.at(-1), passed[0], limits.shortest)) points.pop();
    if (passed.length > 1 && isTooNear(passed.at(-2), passed.at(-1), limits.shortest)) passed.pop();
    for (const point of passed) points.push(point);
  }

  private onSheet(point: Point): Point {
    return this.sewing.level.back(point);
  }
}

function isTooNear(a: Point | undefined, b: Point | undefined, shortest: number): boolean {
  return a !== undefined && b !== undefined && distance(a, b) < shortest - 1e-3;
}
