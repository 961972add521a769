import type { CrossSection, Manifold } from "manifold-3d";
import { guardingLongSolids, guardingSolids } from "../engines/solidEngine";

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

/** Does some work with an arena that is released when it is over, however it ends. Throws an EngineEnded where that ends the engine. */
export function withArena<T>(work: (arena: Arena) => T): T {
  return guardingSolids(() => {
    const arena = new Arena();
    try {
      return work(arena);
    } finally {
      arena.release();
    }
  });
}

/** The same of work that takes its time. */
export function withArenaForLong<T>(work: (arena: Arena) => Promise<T>): Promise<T> {
  return guardingLongSolids(async () => {
    const arena = new Arena();
    try {
      return await work(arena);
    } finally {
      arena.release();
    }
  });
}
