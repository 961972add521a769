/** The codes of an error and of what caused it: SQLite's and the system's, which libraries wrap in errors of their own. */
function codesOf(error: unknown): string[] {
  if (!(error instanceof Error)) return [];
  const own = "code" in error && typeof error.code === "string" ? [error.code] : [];
  return [...own, ...codesOf(error.cause)];
}

/** Whether an error, or what caused it, has a code that begins as one of these. */
export const hasCode = (error: unknown, ...beginnings: readonly string[]): boolean =>
  codesOf(error).some((code) => beginnings.some((beginning) => code.startsWith(beginning)));

/** Whether the database is only in use by another. */
export const isBusy = (error: unknown): boolean => hasCode(error, "SQLITE_BUSY", "SQLITE_LOCKED");

/** Whether there is no room left to write in. */
export const isFull = (error: unknown): boolean =>
  hasCode(error, "SQLITE_FULL", "SQLITE_IOERR_SHMSIZE", "ENOSPC", "EDQUOT");

/** Whether this account may not read or write where the database is. */
export const isForbidden = (error: unknown): boolean =>
  hasCode(error, "EACCES", "EPERM", "EROFS", "SQLITE_READONLY", "SQLITE_CANTOPEN", "SQLITE_PERM") ||
  // The driver gives no code where it cannot open a file at all.
  wordsOf(error).includes("Unable to open");

/** Whether something is there already that may be there once only. */
export const isTaken = (error: unknown): boolean => hasCode(error, "SQLITE_CONSTRAINT");

/** What went wrong, in the words of whatever said so first. */
export function wordsOf(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  return error.cause instanceof Error ? wordsOf(error.cause) : error.message;
}
