import { addTo } from "../keyedLists";
import { squareKey } from "../squareKey";

/** Places nearer than this many cells are one node. */
export const WELD = 2;

/** Places on the grid, each once; what falls within the weld's reach of one becomes it. */
export class Nodes {
  readonly x: number[] = [];
  readonly y: number[] = [];
  /** The number of the input vertex at a node; 0 where there is none. */
  readonly vertex: number[] = [];
  private readonly squares = new Map<number, number[]>();

  /** The node at a place, made where there is none. */
  at(x: number, y: number, vertex = 0): number {
    const found = this.near(x, y);
    if (found >= 0) {
      if (this.vertex[found] === 0) this.vertex[found] = vertex;
      return found;
    }
    const node = this.x.length;
    this.x.push(x);
    this.y.push(y);
    this.vertex.push(vertex);
    addTo(this.squares, squareKey(Math.floor(x / (2 * WELD)), Math.floor(y / (2 * WELD))), node);
    return node;
  }

  private near(x: number, y: number): number {
    const side = 2 * WELD;
    const [left, right] = [Math.floor((x - WELD) / side), Math.floor((x + WELD) / side)];
    const [top, bottom] = [Math.floor((y - WELD) / side), Math.floor((y + WELD) / side)];
    for (let column = left; column <= right; column++) {
      for (let row = top; row <= bottom; row++) {
        for (const node of this.squares.get(squareKey(column, row)) ?? []) {
          if (Math.abs((this.x[node] ?? 0) - x) <= WELD && Math.abs((this.y[node] ?? 0) - y) <= WELD) return node;
        }
      }
    }
    return -1;
  }
}
