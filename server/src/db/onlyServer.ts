import { mkdirSync } from "node:fs";
import { join } from "node:path";
import { createClient, type Client } from "@libsql/client";
import { SettingError } from "../settings";
import { folderTrouble } from "./folderTrouble";
import { isBusy } from "./trouble";

/**
 * Makes sure that no other server works on a folder, for as long as this process lives: the system lets go of the lock when it ends,
 * however that happens. Throws a SettingError where one does.
 */
export async function beOnlyServer(dataFolder: string): Promise<() => void> {
  const lock = join(dataFolder, "server.lock");
  const client = openedLock(dataFolder, lock);
  try {
    // A write that is begun and never done keeps every other one out.
    await client.transaction("write");
  } catch (error) {
    client.close();
    if (!isBusy(error)) throw folderTrouble(lock, error);
    throw new SettingError(
      `Another server works on ${dataFolder} already. Stop it, or choose another folder: TWIN_PETAL_DATA=… npm start`,
    );
  }
  return () => client.close();
}

function openedLock(dataFolder: string, lock: string): Client {
  told(dataFolder, () => mkdirSync(dataFolder, { recursive: true }));
  return told(lock, () => createClient({ url: `file:${lock}` }));
}

function told<T>(path: string, open: () => T): T {
  try {
    return open();
  } catch (error) {
    throw folderTrouble(path, error);
  }
}
