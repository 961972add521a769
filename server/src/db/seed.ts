import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { parseDesign, problemLine } from "@twin-petal/core";
import type { DesignStore } from "./designStore";

const ENDING = ".petal.json";

/** Puts the demo designs into an empty database, under the names of their files. */
export async function seed(store: DesignStore, folder: string): Promise<void> {
  if (!(await store.isEmpty())) return;
  const files = (await readdir(folder)).filter((name) => name.endsWith(ENDING)).sort();
  for (const file of files) {
    const { design, problems } = parseDesign(await readFile(join(folder, file), "utf8"));
    if (!design) throw new Error(`${file}: ${problems.map(problemLine).join("; ")}`);
    await store.create(file.slice(0, -ENDING.length), design);
  }
}
