import Flatbush from "flatbush";
import { distance, type Point } from "../../geometry/point";
import { courseOver } from "../course";
import type { Limits } from "../lines/definition";
import { runningPoints } from "../lines/running";
import type { FillStitch } from "../stitchFields";
import { levelOf, type Level } from "./level";
import { RowGraph } from "./rowGraph";
import { columnsOf, rowsAcross, type RowStretch } from "./rows";

/** Where a row is begun further in is looked for in so many steps of the shortest stitch. */
const STEPS_IN = 40;
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
    const points: Point[] = [this.onSheet(this.pulled(start))];
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
    const from = this.pulled(node).x;
    const to = this.pulled(node ^ 1).x;
    const onRow = (x: number) => level.back({ x, y });
    const first = this.firstOnRow(points.at(-1), from, to, onRow);
    if (first !== null) points.push(onRow(first));
    const [left, right] = [Math.min(first ?? from, to), Math.max(first ?? from, to)];
    const places = level.places(left, right, { row, stitch, limits });
    for (const x of from < to ? places : places.toReversed()) points.push(onRow(x));
    points.push(onRow(to));
  }

  /**
   * Where a row is begun: at its end; where that is nearer to the last needle point than the shortest stitch, as far in as such a
   * stitch goes, so that the turn is the beginning of a stitch and the row stays level. Null where the needle is there already.
   */
  private firstOnRow(last: Point | undefined, from: number, to: number, onRow: (x: number) => Point): number | null {
    const { shortest } = this.sewing.limits;
    if (!last || !isTooNear(last, onRow(from), shortest)) return from;
    if (distance(last, onRow(from)) < 1e-9) return null;
    const way = Math.sign(to - from);
    const most = Math.min(Math.abs(to - from), 2 * shortest);
    for (let inwards = 0; inwards <= most; inwards += shortest / STEPS_IN) {
      if (!isTooNear(last, onRow(from + way * inwards), shortest)) return from + way * inwards;
    }
    return null;
  }

  /** A node, the row's end beyond the edge by the pull. */
  private pulled(node: number): Point {
    const { x, y } = this.graph.place(node);
    return { x: x + (node % 2 === 0 ? -1 : 1) * this.sewing.limits.pull, y };
  }

  /** From the end of a row to the beginning of the next one, mostly the next stitch; else along the outline by running stitches. */
  private step(points: Point[], from: number, to: number): void {
    if (!this.graph.isDirect(from, to, PASSING)) this.pass(points, [from, to]);
  }

  /** Along the outline from node to node of a way, by running stitches. */
  private pass(points: Point[], way: readonly number[]): void {
    const [first, last] = [way[0], way.at(-1)];
    const { limits } = this.sewing;
    if (first === undefined || last === undefined || way.length < 2) return;
    const by = way.slice(1).flatMap((to, k) => this.graph.pass(way[k] ?? first, to));
    const places = [this.pulled(first), ...by.slice(0, -1), this.pulled(last)];
    const course = courseOver(places.map((point) => this.onSheet(point)));
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
