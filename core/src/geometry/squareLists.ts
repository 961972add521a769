const LEAST_SLOTS = 1 << 10;

/**
 * Numbers sorted into the squares of a grid over the plane: a hash table of linked lists in flat arrays, which costs a
 * few times less than a map of lists where there are many squares with few numbers each.
 */
export class SquareLists {
  private heads = new Int32Array(LEAST_SLOTS).fill(-1);
  private columns = new Int32Array(LEAST_SLOTS);
  private rows = new Int32Array(LEAST_SLOTS);
  private values = new Int32Array(LEAST_SLOTS);
  private nexts = new Int32Array(LEAST_SLOTS);
  private count = 0;

  /** Columns and rows are whole and within 32 bits. */
  add(column: number, row: number, value: number): void {
    if (this.count === this.values.length) this.grow();
    const slot = this.slotOf(column, row);
    this.columns[this.count] = column;
    this.rows[this.count] = row;
    this.values[this.count] = value;
    this.nexts[this.count] = this.heads[slot] ?? -1;
    this.heads[slot] = this.count++;
  }

  /** The latest entry of a square; -1 where there is none. */
  first(column: number, row: number): number {
    return this.matching(this.heads[this.slotOf(column, row)] ?? -1, column, row);
  }

  /** The entry of the same square before; -1 after the earliest. */
  next(entry: number): number {
    return this.matching(this.nexts[entry] ?? -1, this.columns[entry] ?? 0, this.rows[entry] ?? 0);
  }

  /** Whether a value of a square fits; the latest is asked first. */
  some(column: number, row: number, fits: (value: number) => boolean): boolean {
    for (let entry = this.first(column, row); entry >= 0; entry = this.next(entry)) {
      if (fits(this.valueOf(entry))) return true;
    }
    return false;
  }

  valueOf(entry: number): number {
    return this.values[entry] ?? 0;
  }

  /** Squares that share a slot share its list. */
  private matching(entry: number, column: number, row: number): number {
    while (entry >= 0 && (this.columns[entry] !== column || this.rows[entry] !== row)) entry = this.nexts[entry] ?? -1;
    return entry;
  }

  private slotOf(column: number, row: number): number {
    const mixed = Math.imul(column, 0x9e3779b1) ^ Math.imul(row, 0x85ebca6b);
    return (mixed ^ (mixed >>> 15)) & (this.heads.length - 1);
  }

  private grow(): void {
    const size = 2 * this.values.length;
    const longer = (list: Int32Array) => {
      const grown = new Int32Array(size);
      grown.set(list);
      return grown;
    };
    [this.columns, this.rows, this.values] = [longer(this.columns), longer(this.rows), longer(this.values)];
    this.nexts = new Int32Array(size);
    this.heads = new Int32Array(size).fill(-1);
    for (let entry = 0; entry < this.count; entry++) {
      const slot = this.slotOf(this.columns[entry] ?? 0, this.rows[entry] ?? 0);
      this.nexts[entry] = this.heads[slot] ?? -1;
      this.heads[slot] = entry;
    }
  }
}
