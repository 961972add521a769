import { cpSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createClient, type Client } from "@libsql/client";
import { drizzle } from "drizzle-orm/libsql";
import { migrate } from "drizzle-orm/libsql/migrator";

/** A database as a version with only so many migrations made it, still open. */
export async function olderDatabase(folder: string, migrations: number): Promise<Client> {
  const shortened = mkdtempSync(join(tmpdir(), "twin-petal-older-"));
  cpSync("server/src/db/migrations", shortened, { recursive: true });
  const journal = join(shortened, "meta", "_journal.json");
  const { entries, ...rest } = JSON.parse(readFileSync(journal, "utf8"));
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, migrations) }));
  const client = createClient({ url: `file:${join(folder, "twin-petal.db")}` });
  await migrate(drizzle(client), { migrationsFolder: shortened });
  return client;
}

/** Puts a design into it, at a revision, with one save of its own. */
export async function insertDesign(
  client: Client,
  id: string,
  content: string,
  revision: number,
  changed: number,
): Promise<void> {
  await client.execute({
    sql: `insert into designs (id, name, revision, changed, binned, width, height, unit, folds, copies, content)
      values (?, 'Old', ?, ?, null, 200, 200, 'mm', 12, 12, ?)`,
    args: [id, revision, changed, content],
  });
}
