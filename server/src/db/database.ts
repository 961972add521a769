import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { createClient } from "@libsql/client";
import { sql } from "drizzle-orm";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";
import { inRepository, type Settings } from "../settings";
import * as schema from "./schema";

export type Database = LibSQLDatabase<typeof schema>;

/** Opens the database, making its folder and bringing its tables up to date. */
export async function openDatabase({
  databaseUrl,
  dataFolder,
}: Settings): Promise<{ db: Database; close: () => void }> {
  if (!databaseUrl) mkdirSync(dataFolder, { recursive: true });
  const client = createClient({ url: databaseUrl ?? `file:${join(dataFolder, "twin-petal.db")}` });
  if (!databaseUrl) {
    await client.execute("PRAGMA journal_mode = WAL");
    // Another process may be copying it.
    await client.execute("PRAGMA busy_timeout = 5000");
  }
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: inRepository("server/src/db/migrations") });
  return { db, close: () => client.close() };
}

/** What SQLite finds wrong with the database, in its words; null where all is right. */
export async function databaseTrouble(db: Database): Promise<string | null> {
  const rows = await db.all<{ integrity_check: string }>(sql`PRAGMA integrity_check`);
  const found = rows.map(({ integrity_check }) => integrity_check).filter((words) => words !== "ok");
  return found.length > 0 ? found.slice(0, 5).join("; ") : null;
}

/** A copy of the whole database as it is at one moment, made by SQLite itself; it may be written to meanwhile. */
export async function copyDatabase(db: Database, path: string): Promise<void> {
  await db.run(sql`VACUUM INTO ${path}`);
}
