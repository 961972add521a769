import { existsSync, readdirSync } from "node:fs";
import { join } from "node:path";

/** Where the copies of a data folder's database are. */
export const copiesFolder = (dataFolder: string): string => join(dataFolder, "copies");

/** Copies of the database in a data folder, the latest first. */
export function copiesIn(dataFolder: string): string[] {
  const folder = copiesFolder(dataFolder);
  if (!existsSync(folder)) return [];
  const days = readdirSync(folder).filter((name) => /^\d{4}-\d\d-\d\d\.db$/.test(name));
  return days
    .sort()
    .reverse()
    .map((name) => join(folder, name));
}
