import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import type { Pools } from "../pools";
import type { DesignStore } from "./designStore";

const ENDING = ".petal.json";

/** Puts the demo designs into an empty database, under the names of their files, with the pictures that ship beside them. */
export async function seed(store: DesignStore, pools: Pools, folder: string): Promise<void> {
  if (!(await store.isEmpty())) return;
  const files = (await readdir(folder)).filter((name) => name.endsWith(ENDING)).sort();
  for (const file of files) {
    const id = file.slice(0, -ENDING.length);
    await store.create(id, await pools.read(await readFile(join(folder, file), "utf8")));
    const picture = await readFile(join(folder, "pictures", `${id}.png`)).catch(() => null);
    if (picture) await store.keepPicture(id, 1, picture);
  }
}
