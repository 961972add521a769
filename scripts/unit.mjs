/**
 * The unit tests of the core, the server, the command line and the interface's own logic: what they run against is built,
 * they are bundled once, and Jest runs the bundles in bare Node. `npm run unit -- scene offset` runs those files alone.
 */
import { spawn } from "node:child_process";
import { rmSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import { build as bundle } from "esbuild";
import { build } from "./build.mjs";

const root = fileURLToPath(new URL("..", import.meta.url));
const FOLDERS = ["core/test", "server/test", "cli/test", "web/test", "attack"];

await build(["cli", "server", "seeded", "attack"]);
rmSync(join(root, "dist/unit"), { recursive: true, force: true });
await bundle({
  absWorkingDir: root,
  entryPoints: FOLDERS.map((folder) => `${folder}/**/*.test.ts`),
  outdir: "dist/unit",
  outbase: ".",
  bundle: true,
  // What many tests use is one module, evaluated once for all of them.
  splitting: true,
  platform: "node",
  format: "esm",
  target: "node20",
  jsx: "automatic",
  packages: "external",
  alias: {
    "@jest/globals": join(root, "scripts/unitGlobals.mjs"),
    "@twin-petal/core": join(root, "core/src/index.ts"),
    "@twin-petal/host": join(root, "host/src/nodeHost.ts"),
    "@": join(root, "web/src"),
  },
  // A module finds the repository from where it stands in a bundle of the server.
  define: { "import.meta.url": JSON.stringify(pathToFileURL(join(root, "server/dist/tests.js")).href) },
  inject: [join(root, "core/test/randomMembers.ts")],
  sourcemap: true,
  logLevel: "warning",
});
// New members are told by their seed, so that what they find can be run again: `MEMBERS=123 npm run unit -- offset`.
if (process.env.MEMBERS === "new") {
  process.env.MEMBERS = String(Date.now() % 1_000_000);
  console.log(`Members of seed ${process.env.MEMBERS}`);
}
const jest = spawn(process.execPath, ["node_modules/jest/bin/jest.js", ...process.argv.slice(2)], {
  cwd: root,
  stdio: "inherit",
  env: { ...process.env, NODE_OPTIONS: "--enable-source-maps --no-warnings" },
});
// Whoever ends this ends the tests with it.
process.once("SIGTERM", () => jest.kill());
jest.on("exit", (code) => (process.exitCode = code ?? 1));
