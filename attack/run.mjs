/** Bundles the attack with the core it is made on, and runs it: `npm run attack`, or `npm run attack -- heavy designs 500`. */
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = fileURLToPath(new URL("..", import.meta.url));
process.chdir(root);
await build({
  absWorkingDir: root,
  entryPoints: ["attack/attack.ts", "attack/trial.ts"],
  outdir: "attack/dist",
  bundle: true,
  platform: "node",
  format: "esm",
  target: "node20",
  packages: "external",
  alias: {
    "@twin-petal/core": join(root, "core/src/index.ts"),
    "@twin-petal/host": join(root, "host/src/nodeHost.ts"),
  },
});
await import("./dist/attack.js");
