/** Bundles the attacks with what they attack, and runs them: `npm run attack`, or `npm run attack -- designs 500`. */
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build as bundle } from "esbuild";
import { build } from "../scripts/build.mjs";

const root = fileURLToPath(new URL("..", import.meta.url));
process.chdir(root);
await build(["server", "web", "attack"]);
await bundle({
  absWorkingDir: root,
  entryPoints: ["attack/attack.ts"],
  outdir: "attack/dist",
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  alias: { "@twin-petal/core": join(root, "core/src/index.ts") },
});
await import("./dist/attack.js");
