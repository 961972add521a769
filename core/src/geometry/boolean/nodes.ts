import { SquareLists } from "../squareLists";

/** Places nearer than this many cells are one node. */
export const WELD = 2;

/** Places, each once; what falls within the weld's reach of one, across and down, becomes it. */
export class Nodes {
  readonly x: number[] = [];
  readonly y: number[] = [];
  /** The number of the input vertex at a node; 0 where there is none. */
  readonly vertex: number[] = [];
  private readonly squares = new SquareLists();
  /** Side of the squares places are sorted into: those within the weld's reach are in one of four. */
  private readonly side: number;

  /** Places are on the grid, in cells, unless another reach is given, whose unit is then theirs. */
  constructor(private readonly weld = WELD) {
    this.side = 2 * weld;
  }

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
    this.squares.add(Math.floor(x / this.side), Math.floor(y / this.side), node);
    return node;
  }

  private near(x: number, y: number): number {
    const { weld, side } = this;
    const [left, right] = [Math.floor((x - weld) / side), Math.floor((x + weld) / side)];
    const [top, bottom] = [Math.floor((y - weld) / side), Math.floor((y + weld) / side)];
    let first = -1;
    for (let column = left; column <= right; column++) {
      for (let row = top; row <= bottom; row++) {
        for (let entry = this.squares.first(column, row); entry >= 0; entry = this.squares.next(entry)) {
          const node = this.squares.valueOf(entry);
          if (Math.abs((this.x[node] ?? 0) - x) > weld || Math.abs((this.y[node] ?? 0) - y) > weld) continue;
          if (first < 0 || node < first) first = node;
        }
      }
    }
    return first;
  }
}
