/** Whether the picture on the sheet is of the design as it is now; told at once, before words and handles are drawn anew. */
export class Freshness {
  private current = false;
  private since = 0;
  private readonly listeners = new Set<(current: boolean) => void>();

  set(current: boolean): void {
    if (current !== this.current) this.since = performance.now();
    this.current = current;
    for (const listener of this.listeners) listener(current);
  }

  /** Milliseconds the picture has been current; 0 while it is not. */
  restedFor(): number {
    return this.current ? performance.now() - this.since : 0;
  }

  /** Tells the present state and every later one; answers a function that ends this. */
  watch(listener: (current: boolean) => void): () => void {
    this.listeners.add(listener);
    listener(this.current);
    return () => void this.listeners.delete(listener);
  }
}
