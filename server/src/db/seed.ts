import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import type { Pools } from "../pools";
import type { DesignStore } from "./designStore";
import { isTaken } from "./trouble";

const ENDING = ".petal.json";

/**
 * Puts the demo designs into an empty database, under the names of their files, with the pictures that ship beside them. Seeding that
 * was cut off goes on: until then there is nothing else, and nothing has been changed.
 */
export async function seed(store: DesignStore, pools: Pools, folder: string): Promise<void> {
  const files = (await readdir(folder)).filter((name) => name.endsWith(ENDING)).sort();
  const ids = files.map((file) => file.slice(0, -ENDING.length));
  const there = await store.untouched();
  if (there === null || there.some((id) => !ids.includes(id))) return;
  for (const [index, file] of files.entries()) {
    const id = ids[index] ?? "";
    if (there.includes(id)) continue;
    const design = await pools.read(await readFile(join(folder, file), "utf8"));
    await store.create(id, design).catch(unlessTaken);
    const picture = await readFile(join(folder, "pictures", `${id}.png`)).catch(() => null);
    if (picture) await store.keepPicture(id, 1, picture);
  }
}

/** Another server may be seeding the same database. */
function unlessTaken(error: unknown): void {
  if (!isTaken(error)) throw error;
}
