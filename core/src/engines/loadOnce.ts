import { EngineEnded, saysItEnded } from "./engineEnded";

/** Something a host loads once for all who ask; a load that failed is forgotten, so that the next who asks tries again. */
export class LoadOnce<T> {
  private loading: Promise<void> | null = null;
  private loaded: { readonly value: T } | null = null;
  private hasEnded = false;

  /** Makes it ready. Safe to call again; rejects as the load does. */
  load(start: () => Promise<T>): Promise<void> {
    this.loading ??= this.begin(start);
    return this.loading;
  }

  /** What was loaded; throws in the given words where nothing has been, and an EngineEnded where it has ended. */
  get(trouble: string): T {
    if (this.hasEnded) throw new EngineEnded();
    if (!this.loaded) throw new Error(trouble);
    return this.loaded.value;
  }

  /** Does work that uses it. Where that ends it an EngineEnded is thrown, and the next `load` loads it anew. */
  guard<R>(work: () => R): R {
    try {
      return work();
    } catch (error) {
      throw this.noticed(error);
    }
  }

  /** The same of work that takes its time. */
  async guardLong<R>(work: () => Promise<R>): Promise<R> {
    try {
      return await work();
    } catch (error) {
      throw this.noticed(error);
    }
  }

  private noticed(error: unknown): unknown {
    if (!saysItEnded(error)) return error;
    this.loading = null;
    this.loaded = null;
    this.hasEnded = true;
    return new EngineEnded();
  }

  private async begin(start: () => Promise<T>): Promise<void> {
    try {
      // Begun a moment later, so that a load that fails at once is forgotten too.
      this.loaded = { value: await Promise.resolve().then(start) };
      this.hasEnded = false;
    } catch (error) {
      this.loading = null;
      throw error;
    }
  }
}
