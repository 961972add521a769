/** Things by number that are put together set by set; the least of a set stands for it (union–find with path halving). */
export class DisjointSets {
  private readonly parent: Uint32Array;

  constructor(count: number) {
    this.parent = Uint32Array.from({ length: count }, (_, index) => index);
  }

  /** The one that stands for the set of another. */
  rootOf(index: number): number {
    const { parent } = this;
    let root = index;
    for (;;) {
      const next = parent[root] ?? root;
      if (next === root) return root;
      // Half the way is spared to whoever comes after.
      parent[root] = parent[next] ?? next;
      root = next;
    }
  }

  /** Makes the sets of two one. */
  join(a: number, b: number): void {
    const [one, two] = [this.rootOf(a), this.rootOf(b)];
    this.parent[Math.max(one, two)] = Math.min(one, two);
  }
}
