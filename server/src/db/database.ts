import { existsSync, mkdirSync, statSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { createClient, type Client } from "@libsql/client";
import { sql } from "drizzle-orm";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import { inRepository, SettingError, type Settings } from "../settings";
import { copiesFolder, copiesIn } from "./copiesIn";
import { folderTrouble } from "./folderTrouble";
import journal from "./migrations/meta/_journal.json";
import * as schema from "./schema";
import { hasCode, isBusy, wordsOf } from "./trouble";

export type Database = LibSQLDatabase<typeof schema>;

const MIGRATIONS = inRepository("server/src/db/migrations");

/** Whoever else writes is waited for so long, milliseconds. */
const PATIENCE = 5_000;

/** Where the embedded database is in a data folder. */
export const databaseIn = (dataFolder: string): string => join(dataFolder, "twin-petal.db");

/**
 * Opens the database, making its folder and bringing its tables up to date. One that is damaged, or was written by a newer version,
 * is left as it is: a SettingError says what can be done.
 */
export async function openDatabase({
  databaseUrl,
  dataFolder,
}: Settings): Promise<{ db: Database; close: () => void }> {
  if (databaseUrl !== undefined) return opened(await clientOf(databaseUrl));
  const path = databaseIn(dataFolder);
  try {
    mkdirSync(dataFolder, { recursive: true });
    refuseEmpty(dataFolder);
    return await opened(await preparedFile(dataFolder));
  } catch (error) {
    throw isBusy(error) ? error : folderTrouble(path, error);
  }
}

/** Opens a database beside a server that works on it and has found it right. */
export async function joinDatabase({
  databaseUrl,
  dataFolder,
}: Settings): Promise<{ db: Database; close: () => void }> {
  const client = await clientOf(databaseUrl ?? `file:${databaseIn(dataFolder)}`);
  return { db: drizzle(client, { schema }), close: () => client.close() };
}

/** A client that waits for whoever else writes, whichever of its connections is used. */
async function clientOf(url: string): Promise<Client> {
  const client = createClient({ url, timeout: PATIENCE });
  if (url.startsWith("file:")) await client.execute("PRAGMA journal_mode = WAL");
  return client;
}

async function opened(client: Client): Promise<{ db: Database; close: () => void }> {
  const db = drizzle(client, { schema });
  await refuseNewer(db);
  await bringUpToDate(db);
  return { db, close: () => client.close() };
}

/** Of several servers that start at once one makes the migrations, in one transaction; the others find them made. */
async function bringUpToDate(db: Database, tries = 20): Promise<void> {
  try {
    await migrate(db, { migrationsFolder: MIGRATIONS });
  } catch (error) {
    if ((await latestMade(db).catch(() => 0)) >= latestMigration()) return;
    // Another is at it, or was so just now.
    if (!isBusy(error) || tries === 0) throw error;
    await wait(250);
    await bringUpToDate(db, tries - 1);
  }
}

/** A database that is gone or empty though there are copies of it is not begun anew without a word. */
function refuseEmpty(dataFolder: string): void {
  const path = databaseIn(dataFolder);
  const size = statSync(path, { throwIfNoEntry: false })?.size ?? 0;
  const [latest] = copiesIn(dataFolder);
  if (size > 0 || latest === undefined) return;
  throw new SettingError(
    `The database ${path} is ${existsSync(path) ? "empty" : "gone"}, though there are copies of it. The last is ${latest}. To go on with that one: npm run -s keep -- --restore ${latest}\nTo begin anew, move ${copiesFolder(dataFolder)} away.`,
  );
}

async function preparedFile(dataFolder: string): Promise<Client> {
  try {
    const client = await clientOf(`file:${databaseIn(dataFolder)}`);
    const trouble = await databaseTrouble(drizzle(client, { schema }));
    if (trouble === null) return client;
    client.close();
    throw damaged(dataFolder, trouble);
  } catch (error) {
    // What may not be opened, or is in use, or has no room is not damaged.
    throw hasCode(error, "SQLITE_NOTADB", "SQLITE_CORRUPT") ? damaged(dataFolder, wordsOf(error)) : error;
  }
}

function damaged(dataFolder: string, trouble: string): SettingError {
  const [latest] = copiesIn(dataFolder);
  const wayOut = latest
    ? `The last good copy is ${latest}. To go on with it, the damaged one being set aside: npm run -s keep -- --restore ${latest}`
    : "There is no copy of it. Move it away to begin anew.";
  return new SettingError(`The database ${databaseIn(dataFolder)} is damaged: ${trouble}\n${wayOut}`);
}

/** Migrations this version does not know were made by a newer one. */
async function refuseNewer(db: Database): Promise<void> {
  if ((await latestMade(db)) <= latestMigration()) return;
  throw new SettingError(
    "The database was written by a newer version of Twin Petal. Start that one, or choose another folder.",
  );
}

/** When the latest migration was made that the database has gone through, milliseconds since 1970; 0 for a new one. */
async function latestMade(db: Database): Promise<number> {
  const [table] = await db.all<{ name: string }>(
    sql`select name from sqlite_master where name = '__drizzle_migrations'`,
  );
  if (!table) return 0;
  const [made] = await db.all<{ latest: number | null }>(
    sql`select max(created_at) as latest from __drizzle_migrations`,
  );
  return Number(made?.latest ?? 0);
}

/** When the last migration was made that this version knows, milliseconds since 1970. */
function latestMigration(): number {
  return Math.max(...journal.entries.map(({ when }) => when));
}

/** What SQLite finds wrong with the database, in its words; null where all is right. */
export async function databaseTrouble(db: Database): Promise<string | null> {
  try {
    const rows = await db.all<{ integrity_check: string }>(sql`PRAGMA integrity_check`);
    const found = rows.map(({ integrity_check }) => integrity_check).filter((words) => words !== "ok");
    return found.length > 0
      ? found
          .join("; ")
          .replace(/\s*\n\s*/g, "; ")
          .slice(0, 300)
      : null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}

/** A copy of the whole database as it is at one moment, made by SQLite itself; it may be written to meanwhile. */
export async function copyDatabase(db: Database, path: string): Promise<void> {
  await db.run(sql`VACUUM INTO ${path}`);
}
