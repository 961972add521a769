/** Something of a file that was not taken over, and how often it stood there. */
export interface Omission {
  /** In words. */
  readonly what: string;
  /** How often it was met. */
  readonly times: number;
}

/** Gathers what is not taken over. */
export class LeftOut {
  private readonly times = new Map<string, number>();

  note(what: string): void {
    this.times.set(what, (this.times.get(what) ?? 0) + 1);
  }

  list(): Omission[] {
    return [...this.times].map(([what, times]) => ({ what, times }));
  }
}
