import type { CrossSection, Manifold } from "manifold-3d";

/** Something of the solid engine's, which lies in its memory until it is deleted. */
type Held = Manifold | CrossSection;

/** Keeps what the solid engine makes on the way, and gives it all back at the end. */
export class Arena {
  private readonly held = new Set<Held>();

  /** Keeps something until `release`. */
  keep<T extends Held>(one: T): T {
    this.held.add(one);
    return one;
  }

  /** Gives one thing back before the others. */
  drop(one: Held): void {
    if (this.held.delete(one)) one.delete();
  }

  /** Gives everything back. */
  release(): void {
    for (const one of this.held) one.delete();
    this.held.clear();
  }
}

/** Does some work with an arena that is released when it is over, however it ends. */
export function withArena<T>(work: (arena: Arena) => T): T {
  const arena = new Arena();
  try {
    return work(arena);
  } finally {
    arena.release();
  }
}
