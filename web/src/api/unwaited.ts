/** Lets go of a promise nobody waits for: that it failed is told as any error is that nobody caught. */
export function unwaited(promise: Promise<unknown> | undefined): void {
  promise?.catch((error: unknown) => reportError(error));
}
