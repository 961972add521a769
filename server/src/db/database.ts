import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { createClient } from "@libsql/client";
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
  if (!databaseUrl) await client.execute("PRAGMA journal_mode = WAL");
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder: inRepository("server/src/db/migrations") });
  return { db, close: () => client.close() };
}
