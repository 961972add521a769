import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { createClient } from "@libsql/client";
import { SettingError } from "../settings";

/**
 * Makes sure that no other server works on a folder, for as long as this process lives: the system lets go of the lock when it ends,
 * however that happens. Throws a SettingError where one does.
 */
export async function beOnlyServer(dataFolder: string): Promise<() => void> {
  mkdirSync(dataFolder, { recursive: true });
  const client = createClient({ url: `file:${join(dataFolder, "server.lock")}` });
  try {
    // A write that is begun and never done keeps every other one out.
    await client.transaction("write");
  } catch (error) {
    client.close();
    if (!isBusy(error)) throw error;
    throw new SettingError(
      `Another server works on ${dataFolder} already. Stop it, or choose another folder: TWIN_PETAL_DATA=… npm start`,
    );
  }
  return () => client.close();
}

function isBusy(error: unknown): boolean {
  return error instanceof Error && "code" in error && String(error.code).startsWith("SQLITE_BUSY");
}
