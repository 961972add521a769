import FlatQueue from "flatqueue";
import { distanceToChord } from "../../geometry/chordDistance";
import { distance, type Point } from "../../geometry/point";
import { BESIDE } from "../lines/running";
import type { RowStretch } from "./rows";

/** Going over a row that is sewn already counts so much more than along the outline. */
const OVER_A_ROW = 2;

/** A stretch of an outline between two neighbouring ends of rows. */
interface Passage {
  readonly to: number;
  readonly length: number;
  /** From here to there, both ends left out. */
  readonly by: readonly Point[];
}

/**
 * The graph a fill is planned on, in the plane in which rows are level: its nodes are the ends of rows; rows are edges
 * that must be sewn, once each, and the outline between neighbouring ends are edges that may be passed along. To sew all
 * in one run is the rural postman's problem (C. S. Orloff, 1974).
 */
export class RowGraph {
  private readonly passages: Passage[][];

  /** Stretches of rows across the polygons they were found on. */
  constructor(
    private readonly polygons: readonly (readonly Point[])[],
    private readonly stretches: readonly RowStretch[],
  ) {
    this.passages = Array.from({ length: 2 * stretches.length }, (): Passage[] => []);
    const ends = polygons.map((): { node: number; at: number }[] => []);
    stretches.forEach(({ from, to }, number) => {
      ends[from.polygon]?.push({ node: 2 * number, at: from.at });
      ends[to.polygon]?.push({ node: 2 * number + 1, at: to.at });
    });
    ends.forEach((around, polygon) => {
      this.addOutline(
        polygon,
        around.sort((a, b) => a.at - b.at),
      );
    });
  }

  /** Where a node is. */
  place(node: number): Point {
    const stretch = this.stretches[node >> 1];
    return { x: (node % 2 === 0 ? stretch?.from.x : stretch?.to.x) ?? 0, y: stretch?.y ?? 0 };
  }

  /** The nodes on the way from one node to the nearest that is wanted, both among them; null where none can be reached. */
  wayTo(from: number, isWanted: (node: number) => boolean): readonly number[] | null {
    const before = new Map<number, number>();
    const least = new Map<number, number>([[from, 0]]);
    const queue = new FlatQueue<number>();
    queue.push(from, 0);
    for (let node = queue.pop(); node !== undefined; node = queue.pop()) {
      if (isWanted(node)) return wayBack(node, before);
      const own = least.get(node) ?? 0;
      const stretch = this.stretches[node >> 1];
      const reach = (to: number, length: number) => {
        const through = own + length;
        if (through >= (least.get(to) ?? Infinity)) return;
        least.set(to, through);
        before.set(to, node);
        queue.push(to, through);
      };
      for (const { to, length } of this.passages[node] ?? []) reach(to, length);
      if (stretch) reach(node ^ 1, (stretch.to.x - stretch.from.x) * OVER_A_ROW);
    }
    return null;
  }

  /** The points from one node to a neighbour of it, without the first: along the outline, or over the row between them. */
  pass(from: number, to: number): Point[] {
    return [...(this.passage(from, to)?.by ?? []), this.place(to)];
  }

  /** Whether one stitch leads from a node to a neighbour: no farther than said, the outline between them next to it. */
  isDirect(from: number, to: number, longest: number): boolean {
    const passage = this.passage(from, to);
    if (!passage || passage.length > longest) return false;
    const [start, end] = [this.place(from), this.place(to)];
    return passage.by.every((point) => distanceToChord(point, start, end) <= BESIDE);
  }

  private passage(from: number, to: number): Passage | undefined {
    let best: Passage | undefined;
    for (const own of this.passages[from] ?? [])
      if (own.to === to && own.length < (best?.length ?? Infinity)) best = own;
    return best;
  }

  private addOutline(polygon: number, around: readonly { readonly node: number; readonly at: number }[]): void {
    const points = this.polygons[polygon] ?? [];
    around.forEach(({ node, at }, k) => {
      const next = around[(k + 1) % around.length];
      if (!next || next.node === node) return;
      const by = cornersBetween(points, at, next.at);
      let last = this.place(node);
      let length = 0;
      for (const point of [...by, this.place(next.node)]) {
        length += distance(last, point);
        last = point;
      }
      this.passages[node]?.push({ to: next.node, length, by });
      this.passages[next.node]?.push({ to: node, length, by: by.toReversed() });
    });
  }
}

/** The corners of a polygon between two places on it, going round. */
function cornersBetween(points: readonly Point[], from: number, to: number): Point[] {
  const last = to > from ? to : to + points.length;
  const corners: Point[] = [];
  for (let k = Math.floor(from) + 1; k <= last; k++) {
    const corner = points[k % points.length];
    if (corner) corners.push(corner);
  }
  return corners;
}

function wayBack(node: number, before: ReadonlyMap<number, number>): number[] {
  const way = [node];
  for (let last = before.get(node); last !== undefined; last = before.get(last)) way.push(last);
  return way.reverse();
}
