/** Makes the pictures that ship beside the demo designs. */
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { build } from "./build.mjs";

const demo = new URL("../demo/", import.meta.url);
await build(["server"]);
const { default: make } = await import(new URL("../server/dist/work/makeWorker.js", import.meta.url));

mkdirSync(new URL("pictures/", demo), { recursive: true });
for (const file of readdirSync(demo).filter((name) => name.endsWith(".petal.json"))) {
  const made = await make({ content: readFileSync(new URL(file, demo), "utf8"), pixels: 480 });
  if (!("file" in made)) throw new Error(`${file}: ${JSON.stringify(made)}`);
  const picture = new URL(`pictures/${file.replace(".petal.json", ".png")}`, demo);
  writeFileSync(picture, made.file);
  console.log(fileURLToPath(picture));
}
