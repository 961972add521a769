import { existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { join } from "node:path";
import { copiesFolder, copiesIn } from "./copiesIn";
import { copyDatabase, type Database } from "./database";

/** So many days' copies are kept. */
const KEPT = 7;
const DAY = 24 * 3_600_000;

/** Keeps a copy of a database that was found right, one for each day, seven of them at most. */
export async function keepCopy(db: Database, dataFolder: string, now = new Date()): Promise<void> {
  const path = join(copiesFolder(dataFolder), `${now.toISOString().slice(0, 10)}.db`);
  if (existsSync(path)) return;
  mkdirSync(copiesFolder(dataFolder), { recursive: true });
  const aside = `${path}.part`;
  rmSync(aside, { force: true });
  await copyDatabase(db, aside);
  renameSync(aside, path);
  for (const old of copiesIn(dataFolder).slice(KEPT)) rmSync(old);
}

/** Does that once a day; answers what ends it. */
export function keepCopies(db: Database, dataFolder: string, onTrouble: (error: unknown) => void): () => void {
  const keep = () => void keepCopy(db, dataFolder).catch(onTrouble);
  keep();
  const timer = setInterval(keep, DAY);
  timer.unref();
  return () => clearInterval(timer);
}
