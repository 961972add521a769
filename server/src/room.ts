import { statfs } from "node:fs/promises";

/** Less room than this on the disk is told, and is not filled by files that are brought, bytes: a database that cannot grow keeps nothing. */
export const LEAST_ROOM = 200 * 2 ** 20;

/** Bytes that are free on the disk of a folder; null where the system does not tell. */
export function freeBytes(folder: string): Promise<number | null> {
  return statfs(folder).then(
    ({ bavail, bsize }) => bavail * bsize,
    () => null,
  );
}

/** Bytes that may still be brought onto the disk of a folder. */
export async function roomIn(folder: string): Promise<number> {
  const free = await freeBytes(folder);
  return free === null ? Infinity : Math.max(0, free - LEAST_ROOM);
}
