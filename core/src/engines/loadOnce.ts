/** Something a host loads once for all who ask; a load that failed is forgotten, so that the next who asks tries again. */
export class LoadOnce<T> {
  private loading: Promise<void> | null = null;
  private loaded: { readonly value: T } | null = null;

  /** Makes it ready. Safe to call again; rejects as the load does. */
  load(start: () => Promise<T>): Promise<void> {
    this.loading ??= this.begin(start);
    return this.loading;
  }

  /** What was loaded; throws in the given words where nothing has been. */
  get(trouble: string): T {
    if (!this.loaded) throw new Error(trouble);
    return this.loaded.value;
  }

  private async begin(start: () => Promise<T>): Promise<void> {
    try {
      // Begun a moment later, so that a load that fails at once is forgotten too.
      this.loaded = { value: await Promise.resolve().then(start) };
    } catch (error) {
      this.loading = null;
      throw error;
    }
  }
}
