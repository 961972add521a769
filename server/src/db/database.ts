import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { createClient, type Client } from "@libsql/client";
import { sql } from "drizzle-orm";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import { inRepository, SettingError, type Settings } from "../settings";
import { copiesIn } from "./copiesIn";
import journal from "./migrations/meta/_journal.json";
import * as schema from "./schema";

export type Database = LibSQLDatabase<typeof schema>;

const MIGRATIONS = inRepository("server/src/db/migrations");

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
  if (!databaseUrl) mkdirSync(dataFolder, { recursive: true });
  const client = createClient({ url: databaseUrl ?? `file:${databaseIn(dataFolder)}` });
  const db = drizzle(client, { schema });
  if (!databaseUrl) await prepareFile(client, db, dataFolder);
  await refuseNewer(db);
  await migrate(db, { migrationsFolder: MIGRATIONS });
  return { db, close: () => client.close() };
}

async function prepareFile(client: Client, db: Database, dataFolder: string): Promise<void> {
  try {
    // Another process may be copying it.
    await client.execute("PRAGMA busy_timeout = 5000");
    await client.execute("PRAGMA journal_mode = WAL");
  } catch (error) {
    // What is only in use is not damaged.
    if (error instanceof Error && "code" in error && String(error.code).startsWith("SQLITE_BUSY")) throw error;
    throw damaged(dataFolder, error instanceof Error ? error.message : String(error));
  }
  const trouble = await databaseTrouble(db);
  if (trouble !== null) throw damaged(dataFolder, trouble);
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
  const [table] = await db.all<{ name: string }>(
    sql`select name from sqlite_master where name = '__drizzle_migrations'`,
  );
  if (!table) return;
  const [made] = await db.all<{ latest: number | null }>(
    sql`select max(created_at) as latest from __drizzle_migrations`,
  );
  if (Number(made?.latest ?? 0) <= latestMigration()) return;
  throw new SettingError(
    "The database was written by a newer version of Twin Petal. Start that one, or choose another folder.",
  );
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
