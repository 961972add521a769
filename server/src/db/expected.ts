/** The revisions a change may build on; null for any. */
export type Expected = ReadonlySet<number> | null;

/** Whether a change may build on a revision. */
export function isExpected(expected: Expected, revision: number): boolean {
  return expected === null || expected.has(revision);
}
