/** Something would take longer than anybody waits for it: known before it is begun, or noticed under way. */
export class TooMuchEffort extends Error {
  constructor(
    /** About how many seconds it takes at the least, on a usual machine. */
    readonly seconds: number,
    /** How many there were for it. */
    readonly most: number,
  ) {
    super(`would take at least ${seconds.toFixed(0)} s of ${most.toFixed(0)} s`);
  }
}

/** What is being computed on this thread: how long it may take, and what it has come to. Seconds. */
let current = { most: Infinity, spent: 0 };

/**
 * Counts what the next piece of work takes, in seconds on a usual machine: a figure worked out from numbers alone, so that the same
 * design comes to the same everywhere. Throws a TooMuchEffort where that is more than there is.
 */
export function spend(seconds: number): void {
  current.spent += seconds;
  if (current.spent > current.most) throw new TooMuchEffort(current.spent, current.most);
}

/** Does some work for which there are so many seconds, and says what it came to. What is within it counts for what is around it. */
export function withEffort<T>(most: number, work: () => T): { readonly result: T; readonly spent: number } {
  const around = current;
  const own = { most: Math.min(most, around.most - around.spent), spent: 0 };
  current = own;
  try {
    return { result: work(), spent: own.spent };
  } finally {
    current = around;
    around.spent += own.spent;
  }
}
