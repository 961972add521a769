/** Bundles the benchmark with the core it measures, and runs it: see `bench.ts` for what may be asked. */
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { build } from "esbuild";

const root = fileURLToPath(new URL("..", import.meta.url));
process.chdir(root);
await build({
  absWorkingDir: root,
  entryPoints: ["bench/bench.ts"],
  outfile: "bench/dist/bench.js",
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
await import("./dist/bench.js");
