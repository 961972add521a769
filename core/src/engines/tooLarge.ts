/**
 * Whether an error says that something is larger than the machine takes: a list, a text or a block of memory that cannot be had, or
 * calls within calls that do not fit. The language tells all of them by one kind of error.
 */
export function isTooLarge(error: unknown): boolean {
  return error instanceof RangeError;
}
