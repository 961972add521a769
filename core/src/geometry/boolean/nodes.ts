import { SquareLists } from "../squareLists";

/** Places nearer than this many cells are one node. */
export const WELD = 2;

/** Side of the squares places are sorted into, cells: those within the weld's reach are in one of four. */
const SIDE = 2 * WELD;

/** Places on the grid, each once; what falls within the weld's reach of one becomes it. */
export class Nodes {
  readonly x: number[] = [];
  readonly y: number[] = [];
  /** The number of the input vertex at a node; 0 where there is none. */
  readonly vertex: number[] = [];
  private readonly squares = new SquareLists();

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
    this.squares.add(Math.floor(x / SIDE), Math.floor(y / SIDE), node);
    return node;
  }

  private near(x: number, y: number): number {
    const [left, right] = [Math.floor((x - WELD) / SIDE), Math.floor((x + WELD) / SIDE)];
    const [top, bottom] = [Math.floor((y - WELD) / SIDE), Math.floor((y + WELD) / SIDE)];
    let first = -1;
    for (let column = left; column <= right; column++) {
      for (let row = top; row <= bottom; row++) {
        for (let entry = this.squares.first(column, row); entry >= 0; entry = this.squares.next(entry)) {
          const node = this.squares.valueOf(entry);
          if (Math.abs((this.x[node] ?? 0) - x) > WELD || Math.abs((this.y[node] ?? 0) - y) > WELD) continue;
          if (first < 0 || node < first) first = node;
        }
      }
    }
    return first;
  }
}
